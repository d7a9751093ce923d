import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

// The development server passes everything under /api on to the Ruby server.
export default defineConfig({
  plugins: [tailwindcss(), svelte()],
  build: { target: 'es2022', assetsInlineLimit: 0 },
  server: { port: 5173, proxy: { '/api': { target: 'http://127.0.0.1:4567' } } },
});
