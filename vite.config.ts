import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: 'src/app',
  publicDir: 'public',
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: { outDir: '../../dist/app', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
});
