import { defineConfig } from 'vite';

export default defineConfig({
  resolve: { conditions: ['source'] },
  build: {
    target: 'es2022',
    lib: { entry: 'src/index.ts', formats: ['es'], fileName: () => 'ivy-lens.js' },
    rolldownOptions: { output: { minify: true } },
  },
});
