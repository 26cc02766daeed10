import { minify } from 'terser';
import { defineConfig, type Plugin } from 'vite';

const nothing = (...names: string[]) => names.map((name) => `export const ${name} = () => [];`).join('\n');
const noShape = '{ schema: {}, read: () => ({}) }';

/**
 * What of the engine a page of its own items has no use for: the loops in WebAssembly, which pay from tens of thousands of
 * posts on; words, cards and looks, since the page has its own; and what only those ask for who work on a lens.
 */
const without: Record<string, string> = {
  'engine/kernel/bytes.ts': 'export const kernelBytes = [];',
  'model/word-sets.ts': `import { englishTexts } from './texts.js';
    export const wordSet = () => englishTexts;
    export const wordSetLanguages = [];`,
  'look/look.ts': `export const lookShape = ${noShape};\n${nothing('makeLook', 'pageLook', 'placedAt')}`,
  'card/parts.ts': `export const cardPartShape = ${noShape};\n${nothing('partKind', 'makePart', 'proposePart', 'partsFor')}`,
  'lens/card.ts': nothing('cardParts', 'suggestCard'),
  'answer/ways-out.ts': nothing('waysOut'),
  'answer/others.ts': nothing('otherPosts'),
  'kinds/terms/misses.ts': nothing('termMisses'),
  'kinds/range/misses.ts': nothing('rangeMisses'),
  'kinds/search/misses.ts': nothing('searchMisses'),
  'kinds/terms/changes.ts': nothing('countChanges', 'labelChanges', 'singleChanges', 'termChanges'),
  'kinds/terms/compact.ts': nothing('frameOfTerms', 'compactTerms'),
  'kinds/terms/warnings.ts': `export const noValues = {}, oneTerm = {};\n${nothing('termsLeft', 'termWarnings')}`,
};

/** Kinds of facets that no control of a page is. */
const otherKinds = /^.*\b(buttons|tree|steps|letters|favourites)\b.*$/gm;

function leaveOut(): Plugin {
  return {
    name: 'leave-out',
    enforce: 'pre',
    load: (id) => Object.entries(without).find(([file]) => id.endsWith(`/core/src/${file}`))?.[1] ?? null,
    transform: (code, id) => (id.endsWith('/core/src/kinds/kinds.ts') ? code.replace(otherKinds, '') : null),
  };
}

/** Writes the script as short as it can be. */
function shorten(): Plugin {
  return {
    name: 'shorten',
    async generateBundle(_options, bundle) {
      for (const file of Object.values(bundle)) {
        if (file.type === 'chunk')
          file.code = (await minify(file.code, { module: true, ecma: 2020, compress: { passes: 3 } })).code!;
      }
    },
  };
}

export default defineConfig({
  logLevel: 'warn',
  resolve: { conditions: ['source'] },
  plugins: [leaveOut(), shorten()],
  build: {
    target: 'es2022',
    lib: { entry: 'src/index.ts', formats: ['es'], fileName: () => 'ivy-page.js' },
    rolldownOptions: { output: { minify: true, chunkFileNames: 'ivy-page-[name]-[hash].js' } },
  },
});
