import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
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
