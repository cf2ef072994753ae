import { copyFileSync } from 'node:fs';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { noticesText } from './scripts/notices.mjs';
import { policyText } from './src/server/policy.ts';

const OUT = 'dist/app';
/** Folder of its host that the program lies in: BASE=/kettle/ npm run build. */
const base = process.env.BASE ?? '/';

/** Others' licences, shipped with what they wrote. */
const notices = (): Plugin => ({
  name: 'notices',
  apply: 'build',
  generateBundle() {
    this.emitFile({ type: 'asset', fileName: 'third-party-notices.txt', source: noticesText() });
  },
});

/** What a host of files alone needs: the policy in the page, and the page for addresses that are no file. */
const anyHost = (): Plugin => ({
  name: 'any-host',
  apply: 'build',
  transformIndexHtml: () => [
    {
      tag: 'meta',
      attrs: { 'http-equiv': 'Content-Security-Policy', content: policyText() },
      injectTo: 'head-prepend',
    },
  ],
  closeBundle: () => copyFileSync(`${OUT}/index.html`, `${OUT}/404.html`),
});

export default defineConfig({
  root: 'src/app',
  base,
  publicDir: 'public',
  plugins: [
    react(),
    tailwindcss(),
    notices(),
    anyHost(),
    VitePWA({
      strategies: 'generateSW',
      // The page registers it itself, and asks before it is replaced.
      injectRegister: null,
      registerType: 'prompt',
      manifest: {
        name: 'Fervent Kettle',
        short_name: 'Kettle',
        description: 'Brake energy and temperature, stop by stop, before the car leaves the pit lane',
        start_url: base,
        scope: base,
        display: 'standalone',
        theme_color: '#231b17',
        background_color: '#f5f2ec',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
        file_handlers: [
          {
            action: base,
            accept: {
              'application/json': ['.json'],
              'application/gpx+xml': ['.gpx'],
              'text/csv': ['.csv'],
            },
          },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm,csv,gpx,json,txt}'],
        globIgnores: ['404.html'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        navigateFallback: `${base}index.html`,
        navigateFallbackDenylist: [/\/stand-in\//, /\/[^/]+\.[a-z0-9]+$/i],
        cleanupOutdatedCaches: true,
        skipWaiting: false,
        clientsClaim: false,
      },
    }),
  ],
  worker: { format: 'es' },
  build: { outDir: '../../dist/app', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
});
