import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  server: {
    port: 5180, // The server compares Origin and Host: both stay the page's own.
    proxy: { '/api': { target: process.env['FONTE_API'] ?? 'http://127.0.0.1:4180', changeOrigin: false } },
  },
  build: { target: 'es2022', chunkSizeWarningLimit: 1200 },
});
