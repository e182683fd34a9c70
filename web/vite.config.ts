import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // The application itself lies on the device, so that it starts without a connection; what it shows is kept by the page.
    VitePWA({
      filename: 'service-worker.js',
      manifestFilename: 'manifest.json',
      injectRegister: false,
      registerType: 'autoUpdate',
      manifest: {
        name: 'Kiver',
        short_name: 'Kiver',
        description: 'Seedlings from order to release',
        start_url: '/',
        display: 'standalone',
        background_color: '#eceae4',
        theme_color: '#eceae4',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallbackDenylist: [/^\/api\//, /^\/calendar\//, /^\/actuator\//, /^\/v3\//],
        cleanupOutdatedCaches: true,
        skipWaiting: true,
        clientsClaim: true,
      },
    }),
  ],
  // Tests read codes that the core is held to as well, and the catalogue.
  server: { proxy: { '/api': 'http://127.0.0.1:8080' }, fs: { allow: ['.', '../core/src/test/resources', '../server/src/main/resources/words'] } },
  // One page for all files: making a new one for each took five times as long as the tests themselves.
  test: { environment: 'jsdom', pool: 'threads', isolate: false, setupFiles: 'src/testSetup.ts', css: { include: [/raw/] }, testTimeout: 15_000 },
});
