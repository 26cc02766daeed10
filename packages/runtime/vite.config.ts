import { defineConfig } from 'vite';
import { sheet } from './src/styles.js';

export default defineConfig({
  resolve: { conditions: ['source'] },
  plugins: [
    {
      // the same rules as a file, for pages that are drawn before the script is there
      name: 'sheet',
      generateBundle() {
        this.emitFile({ type: 'asset', fileName: 'ivy-lens.css', source: sheet });
      },
    },
  ],
  build: {
    target: 'es2022',
    lib: { entry: 'src/index.ts', formats: ['es'], fileName: () => 'ivy-lens.js' },
    rolldownOptions: { output: { minify: true } },
  },
});
