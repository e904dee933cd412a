import { defineConfig } from 'vite';

/** The service worker is built apart: one file under a fixed name, at the root of the site. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'public',
    emptyOutDir: false,
    copyPublicDir: false,
    target: 'es2022',
    rollupOptions: {
      input: 'resources/js/offline/worker.ts',
      output: { entryFileNames: 'offline.js', inlineDynamicImports: true },
    },
  },
});
