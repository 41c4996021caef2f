import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, loadEnv } from 'vite';

export default defineConfig(({ mode }) => ({
  plugins: [react(), tailwindcss()],
  // Everything is a file of its own: the content security policy allows no data: fonts and no inline scripts.
  build: {
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    // The card is a page of its own, small enough for a telephone with a poor network.
    rolldownOptions: { input: ['index.html', 'card.html'] },
  },
  // The table of pages is the server's.
  server: {
    fs: { allow: ['..'] },
    proxy: { '/api': `http://127.0.0.1:${loadEnv(mode, '.', 'WACHE_').WACHE_PORT ?? 8750}` },
  },
}));
