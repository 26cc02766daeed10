import { fileURLToPath } from 'node:url';
import { defineConfig, type Plugin } from 'vite';
import { sheets } from '../runtime/vite.config.ts';

/** What a page that asks no server has no use for: the Bench around it, and the check of how it is reached. */
const unused = ['./preview.js', './later/check-page.js'];

/** Has listings answered by what the script brings along. */
function alone(): Plugin {
  const own = fileURLToPath(new URL('src/transport-of.ts', import.meta.url));
  return {
    name: 'alone',
    enforce: 'pre',
    resolveId(id, importer) {
      if (id === './transport-of.js' && importer?.endsWith('/listings.ts')) return own;
      return unused.some((one) => id.endsWith(one)) ? '\0unused' : null;
    },
    load: (id) => (id === '\0unused' ? 'export const checkPage = () => {}, previewListing = null;' : null),
  };
}

// one plain script, which browsers load from a disk too: those that are modules they load from servers alone
export default defineConfig({
  logLevel: 'warn',
  resolve: { conditions: ['source'] },
  define: { 'import.meta.url': 'location.href' },
  plugins: [alone(), sheets()],
  build: {
    target: 'es2022',
    lib: { entry: 'src/index.ts', formats: ['iife'], name: 'ivy', fileName: () => 'ivy-alone.js' },
    rolldownOptions: { output: { minify: true } },
  },
});
