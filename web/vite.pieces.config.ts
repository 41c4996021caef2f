import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** The page that only the tests have: the pieces of the front end as one script. */
export default defineConfig({
  plugins: [react()],
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: 'target/pieces',
    emptyOutDir: true,
    copyPublicDir: false,
    minify: false,
    lib: { entry: 'pieces/pieces.ts', formats: ['iife'], name: 'Pieces', fileName: () => 'pieces.js' },
  },
});
