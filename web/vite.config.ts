import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  server: { port: 5180, proxy: { '/api': process.env['FONTE_API'] ?? 'http://127.0.0.1:4180' } },
  build: { target: 'es2022', chunkSizeWarningLimit: 1200 },
});
