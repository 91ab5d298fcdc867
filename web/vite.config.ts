import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { catalogWords } from './vite/catalog-words.ts';

const jsonSchemas = /zod\/v4\/core\/(json-schema-processors|to-json-schema)\.js$/;

/**
 * Zod’s makers of JSON Schema, some 8 kB of the first load: the server makes them, for the pages about its API, and a
 * browser never does. Every name they give is there, and throws.
 */
const noJsonSchemas = {
  name: 'no-json-schemas',
  enforce: 'pre' as const,
  load(id: string) {
    if (!jsonSchemas.test(id)) return undefined;
    const named = readFileSync(id, 'utf8').matchAll(/^export (?:const|function) (\w+)/gm);
    const names = [...named].map(([, name]) => `export const ${name} = none;`).join('\n');
    return `const none = () => () => { throw new Error('The browser makes no JSON Schema.'); };\n${names}\nexport { none as process };`;
  },
};

export default defineConfig({
  plugins: [
    noJsonSchemas,
    catalogWords(),
    vue(),
    VitePWA({
      // A new version waits until the page is opened again: nobody is reloaded in mid-walk.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Fair Gable',
        short_name: 'Fair Gable',
        description: 'The record walks round the trailer.',
        display: 'standalone',
        background_color: '#f7f4ec',
        theme_color: '#f7f4ec',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        clientsClaim: true,
        // What draws codes is large, and wants a network anyway: it is not kept on every phone.
        globIgnores: ['**/stand-in-*.js', '**/bwip-js-*.js'],
        runtimeCaching: [
          {
            // A photo never changes; once looked at it is there without a network, until signing out.
            urlPattern: /\/api\/units\/[^/]+\/photos\/[^/?]+(\?size=\w+)?$/,
            handler: 'CacheFirst',
            options: { cacheName: 'photos', expiration: { maxEntries: 3000 } },
          },
        ],
      },
    }),
  ],
  resolve: {
    conditions: ['@fair-gable/source', 'module', 'browser', 'development|production'],
    alias: {
      'primevue/ripple': fileURLToPath(new URL('src/base/style/no-ripple.ts', import.meta.url)),
    },
  },
  // `npm run dev` runs the server beside; the browser sees one address.
  server: {
    proxy: {
      '/api': { target: process.env['API'] ?? 'http://127.0.0.1:4781', changeOrigin: false },
    },
  },
  worker: { format: 'es' },
  build: { manifest: true, target: 'es2023', chunkSizeWarningLimit: 700 },
});
