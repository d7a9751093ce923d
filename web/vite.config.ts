import { copyFileSync, mkdirSync } from 'node:fs';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';

/** The page of the interface is shown by a renderer that ships with the application. */
function apiDocs(): Plugin {
  return {
    name: 'api-docs',
    closeBundle() {
      mkdirSync('dist/api-docs', { recursive: true });
      for (const file of ['swagger-ui.css', 'swagger-ui-bundle.js'])
        copyFileSync(`node_modules/swagger-ui-dist/${file}`, `dist/api-docs/${file}`);
    },
  };
}

// The development server passes everything under /api on to the Ruby server.
export default defineConfig({
  plugins: [tailwindcss(), svelte(), apiDocs()],
  build: { target: 'es2022', assetsInlineLimit: 0 },
  server: { port: 5173, proxy: { '/api': { target: 'http://127.0.0.1:4567' } } },
});
