import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** The largest file is the view in space; without a network it opens too. */
const LARGEST_B = 8e6;

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // Packed once as tightly as can be, and not for each reader as fast as can be.
    compression({ algorithms: ['brotliCompress'], include: /\.(js|css|svg)$/, threshold: 1_024 }),
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script',
      manifest: {
        name: 'Yellow Cell',
        short_name: 'Yellow Cell',
        description: 'The workbench and the memory of a queen breeder.',
        start_url: '/yard',
        display: 'standalone',
        background_color: '#f3ecdc',
        theme_color: '#f3ecdc',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        maximumFileSizeToCacheInBytes: LARGEST_B,
        navigateFallbackDenylist: [/^\/api\//],
        // The reader of codes is large and not wanted by everybody: it is kept from its first use on.
        runtimeCaching: [
          {
            urlPattern: /\/assets\/.*\.wasm$/,
            handler: 'CacheFirst',
            options: { cacheName: 'readers', expiration: { maxEntries: 2 } },
          },
        ],
      },
    }),
  ],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    target: 'es2022',
    rolldownOptions: {
      // All that the first screen needs is one file: on a slow net each file more costs a turn.
      output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'] }] } },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.YC_API_PORT ?? 8173}` } },
});
