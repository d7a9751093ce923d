import { copyFileSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { faces, firstLetters } from './faces';

/** The page of the interface is shown by a renderer that ships with the application. */
function apiDocs(): Plugin {
  return {
    name: 'api-docs',
    apply: 'build',
    closeBundle() {
      mkdirSync('dist/api-docs', { recursive: true });
      for (const file of ['swagger-ui.css', 'swagger-ui-bundle.js'])
        copyFileSync(`node_modules/swagger-ui-dist/${file}`, `dist/api-docs/${file}`);
    },
  };
}

/** Says of which packages something is in what is built: bin/notices names their licences. */
function packages(): Plugin {
  const found = new Set<string>();
  return {
    name: 'packages',
    apply: 'build',
    generateBundle(_, bundle) {
      for (const chunk of Object.values(bundle))
        for (const id of chunk.type === 'chunk' ? chunk.moduleIds : chunk.originalFileNames) {
          const name = /node_modules\/((?:@[^/]+\/)?[^/]+)\//.exec(id)?.[1];
          if (name) found.add(name);
        }
    },
    closeBundle() {
      for (const name of ['swagger-ui-dist', 'tailwindcss', 'daisyui']) found.add(name);
      writeFileSync('dist/.packages.json', JSON.stringify([...found].sort()));
    },
  };
}

/** The frame stands by itself: what it took from a page that takes from it would not be there yet when it begins. */
function frameAlone(): Plugin {
  return {
    name: 'frame-alone',
    apply: 'build',
    generateBundle(_, bundle) {
      const frame = Object.values(bundle).find((chunk) => chunk.type === 'chunk' && chunk.name === 'frame');
      const needs = frame?.type === 'chunk' ? frame.imports.filter((name) => !name.includes('runtime')) : [];
      if (needs.length > 0) this.error(`frame imports ${needs.join(', ')}: see FRAME`);
    },
  };
}

/** What a browser needs to install the application is named when the first page is there (see main.ts). */
function installedLater(): Plugin {
  return {
    name: 'installed-later',
    apply: 'build',
    enforce: 'post',
    transformIndexHtml: { order: 'post', handler: (html) => html.replace(/<link rel="manifest"[^>]*>/, '') },
  };
}

/** What is small and asked for by every page stands in the page: how it is lit, and its mark. */
function inPlace(): Plugin {
  return {
    name: 'in-place',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler: (html) =>
        html
          .replace(
            '<script src="/theme.js"></script>',
            `<script>${readFileSync('public/theme.js', 'utf8')}</script>`,
          )
          .replace(
            'href="/mark.svg"',
            `href="data:image/svg+xml,${encodeURIComponent(readFileSync('public/mark.svg', 'utf8').trim())}"`,
          ),
    },
  };
}

/** Everything that is text is packed once, here, and served as it lies. */
function packed(): Plugin {
  return {
    name: 'packed',
    apply: 'build',
    closeBundle() {
      const files = readdirSync('dist', { recursive: true, encoding: 'utf8' });
      for (const file of files.filter((name) => /\.(js|css|svg|html)$/.test(name))) {
        const plain = readFileSync(`dist/${file}`);
        if (plain.length < 1024) continue;
        writeFileSync(`dist/${file}.gz`, gzipSync(plain, { level: 9 }));
        const quality = { [constants.BROTLI_PARAM_QUALITY]: 11 };
        writeFileSync(`dist/${file}.br`, brotliCompressSync(plain, { params: quality }));
      }
    },
  };
}

const shell = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  includeAssets: ['mark.svg'],
  manifest: {
    name: 'Nimble Eyelet',
    short_name: 'Nimble Eyelet',
    description: 'Buttonholes from the button to the sewn row.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f7f1e4',
    theme_color: '#2a3c80',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  },
  // The shell only, never what the interface answers.
  workbox: {
    importScripts: ['/notice.js'],
    globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
    globIgnores: ['api-docs/**'],
    navigateFallback: '/index.html',
    // Older addresses are redirected by the server.
    navigateFallbackDenylist: [/^\/api\//, /^\/(closures|machines|garments)\//, /^\/(stash|habits)$/],
    cleanupOutdatedCaches: true,
  },
});

/** What every page begins with, in one file, and what that needs; and what others would need from a page's own file. */
const FRAME =
  /node_modules\/(svelte|esm-env|clsx|sv-router|openapi-fetch|@tanstack|idb)\/|src\/(api|outbox)\/|src\/(router|version|ui\/(announce|capital|dialect|say|american)|session\/drying|help\/tour|closure\/caliper|drawn\/(loop|spot))|vite\/|pwa-register|\0/;

/** What several pages or stages are made of: many small files become one, and what only waits for a press stays apart. */
const SHARED = (id: string): boolean =>
  /src\/(closure|drawn|ui|help|table|stations|session|pages)\/|@lucide/.test(id) &&
  !/Body\.svelte|scroll-lock/.test(id);

type Importers = { getModuleInfo(id: string): { importers: string[] } | null };

/** The pages and stages that are made of a file, by the files that import it. */
function madeOf(id: string, build: Importers, seen = new Set<string>()): Set<string> {
  for (const importer of build.getModuleInfo(id)?.importers ?? [])
    if (!seen.has(importer)) madeOf(importer, build, seen.add(importer));
  return seen;
}

/** A stage comes first to most people: what only pages share does not come with it. */
function shared(id: string, build: Importers): string {
  const from = [...madeOf(id, build)];
  const stages = from.filter((name) => /src\/stations\/(\w+)\/\1\.svelte$/i.test(name));
  return stages.length > 1 || from.some((name) => name.endsWith('table/Table.svelte')) ? 'stage' : 'pages';
}

// The development server passes everything under /api on to the Ruby server.
export default defineConfig({
  plugins: [
    tailwindcss(),
    svelte(),
    shell,
    apiDocs(),
    firstLetters(),
    faces(),
    inPlace(),
    frameAlone(),
    installedLater(),
    packages(),
    packed(),
  ],
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    // What two pages have of their own is half a kilobyte: not worth a file each.
    cssCodeSplit: false,
    // Which files a page begins with: the server tells a browser before it has read any.
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'frame', test: FRAME, priority: 3 },
            { name: shared, debugName: 'shared', test: SHARED, minShareCount: 2, priority: 2 },
          ],
        },
      },
    },
  },
  server: { port: 5173, proxy: { '/api': { target: 'http://127.0.0.1:4567' } } },
});
