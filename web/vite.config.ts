import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

const server = `http://127.0.0.1:${process.env['PORT'] ?? 4173}`;

// The solver of integer programmes asks for this where it runs in Node, and never in a browser.
const rolldownOptions = { external: ['node:module'], checks: { pluginTimings: false } };

export default defineConfig({
  plugins: [vue(), tailwindcss()],
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': { target: server } } },
  worker: { format: 'es', rolldownOptions },
  build: { target: 'es2022', chunkSizeWarningLimit: 900, rolldownOptions },
});
