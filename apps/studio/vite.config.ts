import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: { conditions: ['source', 'module', 'browser', 'production'] },
  server: {
    proxy: { '/api': 'http://127.0.0.1:4800', '/embed': 'http://127.0.0.1:4800', '/preview': 'http://127.0.0.1:4800' },
  },
});
