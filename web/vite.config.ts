import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

/** Tells the service worker which files belong to this build. Their names change with what is in them. */
const filesForServiceWorker = (): Plugin => ({
  name: 'files-for-service-worker',
  generateBundle(_, bundle) {
    const worker = bundle['sw.js'];
    if (worker?.type !== 'chunk') return;
    const files = Object.keys(bundle).filter((name) => name.startsWith('assets/'));
    const list = JSON.stringify(files.map((name) => ({ url: `/${name}`, revision: null })));
    worker.code = worker.code.replace('self.__FILES', list);
  },
});

export default defineConfig({
  plugins: [react(), tailwindcss(), filesForServiceWorker()],
  server: {
    proxy: { '/api': 'http://127.0.0.1:8080' },
    // The pocket card's module lies with the server, which puts it into the card; its test reads it there.
    fs: { allow: ['..'] },
  },
  build: {
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: { main: 'index.html', sw: 'src/offline/sw.ts' },
      output: {
        entryFileNames: (chunk) => (chunk.name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js'),
      },
    },
  },
  test: {
    environment: 'jsdom',
    include: ['src/**/*.test.{ts,tsx}', 'words/**/*.test.mjs'],
    setupFiles: 'src/testing/setup.ts',
  },
});
