import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { paths } from './src/app/paths.ts';

/** Tells the server which addresses have a page. */
const listPaths: Plugin = {
  name: 'list-paths',
  generateBundle() {
    this.emitFile({ type: 'asset', fileName: 'paths.json', source: JSON.stringify(paths) });
  },
};

export default defineConfig({
  plugins: [react(), listPaths],
  server: {
    port: 5180, // The server compares Origin and Host: both stay the page's own.
    proxy: { '/api': { target: process.env['FONTE_API'] ?? 'http://127.0.0.1:4180', changeOrigin: false } },
  },
  build: { target: 'es2022', chunkSizeWarningLimit: 1200 },
});
