import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { drawnStyles } from './drawnStyles.tsx';

export default defineConfig({
  plugins: [
    react(),
    drawnStyles(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/worker',
      filename: 'sw.ts',
      // The page registers it once it has come to rest, and decides when a new version takes over.
      injectRegister: false,
      injectManifest: {
        globPatterns: ['index.html', 'assets/*.{js,css,woff2,webp,png,svg,json}', '*.svg', '*.png'],
        dontCacheBustURLsMatching: /^assets\//,
        // What prints, and the calendars of the world, are large, and are asked for at a desk.
        globIgnores: ['assets/pdfmake*', 'assets/vfs_fonts*', 'assets/calendars*'],
        maximumFileSizeToCacheInBytes: 4 << 20,
      },
      manifest: {
        id: '/',
        name: 'Fonte',
        short_name: 'Fonte',
        description: 'Levels, purges, samples, custody and reports of water, with or without a signal.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f5f1e8',
        theme_color: '#f5f1e8',
        icons: [
          { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
        ],
      },
    }),
  ],
  server: {
    port: 5180, // The server compares Origin and Host: both stay the page's own.
    proxy: { '/api': { target: process.env['FONTE_API'] ?? 'http://127.0.0.1:4180', changeOrigin: false } },
  },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 1200,
    rolldownOptions: {
      output: {
        // Merged chunks may import one another in a ring: each module still runs after what it imports, as it does without chunks.
        strictExecutionOrder: true,
        // A chunk that pages share would be named after all of them.
        chunkFileNames: ({ name }) => `assets/${name.split('~')[0]!}-[hash].js`,
        // Each request costs more than the few bytes that a page would not need: what begins comes in one piece, and what pages share in few.
        codeSplitting: {
          groups: [
            { name: 'calendars', test: /node_modules[\\/](date-holidays|date-holidays-parser|moment|moment-timezone|astronomia)[\\/]/ },
            { name: 'ground', tags: ['$initial'] },
            { name: 'shared', minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 60_000 },
          ],
        },
      },
    },
  },
});
