import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  server: { proxy: { '/api': 'http://127.0.0.1:8080' } },
  // One page for all files: making a new one for each took five times as long as the tests themselves.
  test: { environment: 'jsdom', pool: 'threads', isolate: false, setupFiles: 'src/testSetup.ts', testTimeout: 15_000 },
});
