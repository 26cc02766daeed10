import { minify } from 'terser';
import { defineConfig, type Plugin } from 'vite';

const nothing = (...names: string[]) => names.map((name) => `export const ${name} = () => [];`).join('\n');
const noShape = '{ schema: {}, read: () => ({}) }';

/** Shapes that fill in what is left out: a page writes its config itself, so that there is nothing to refuse. */
const fillsIn = `
  const any = () => ({ schema: {}, read: (value) => value });
  export { any as text, any as whole, any as flag, any as choice };
  export const step = (pointer, key) => pointer + '/' + key;
  export const list = (item) => ({ schema: {}, read: (all) => all.map((one) => item.read(one)) });
  export const table = any;
  export const optional = (shape) => ({ ...shape, missing: () => undefined });
  export const withDefault = (shape, missing) => ({ ...shape, missing });
  export const object = (parts) => ({
    parts,
    schema: {},
    read: (value) => {
      const all = Object.entries(parts).map(([key, part]) => [key, key in value ? part.read(value[key]) : part.missing?.()]);
      return Object.fromEntries(all.filter(([, one]) => one !== undefined));
    },
  });
  export const variant = (tag, shapes) => ({
    schema: {},
    read: (value) => ({ [tag]: value[tag], ...shapes[value[tag]].read(value) }),
  });
  export const readShape = (shape, value) => ({ ok: true, value: shape.read(value) });
`;

/** A lens with the defaults of all that a page has no settings for. */
const ownLens = `
  import { facetShape } from '../kinds/kinds.js';
  const scope = { where: [], include: [], exclude: [], pinned: [] };
  const rest = {
    version: 1, scope, follows: [], nothing: { show: 'ways', where: [], size: 3 }, card: { parts: [], link: 'none', newTab: false },
    look: {}, texts: {}, languages: {}, language: 'en', zone: 'UTC', origins: [],
  };
  export const readLens = (config) => ({
    ok: true,
    value: {
      ...rest,
      ...config,
      facets: config.facets.map((facet) => facetShape.read(facet)),
      sort: {
        relevanceWhenSearching: true,
        ...config.sort,
        options: config.sort.options.map((option) => ({ label: '', by: 'field', order: 'asc', then: [], ...option })),
      },
      paging: { sizes: [], ...config.paging },
      address: { sort: 'sort', page: 'page', size: 'size', apply: 'change', ...config.address },
    },
  });
  export const defaultSort = ({ sort }) => sort.options.find(({ key }) => key === sort.default) ?? sort.options[0] ?? null;
`;

/**
 * What of the engine a page of its own items has no use for: the loops in WebAssembly, which pay from tens of thousands of
 * posts on; words, cards and looks, since the page has its own; and what only those ask for who work on a lens.
 */
const without: Record<string, string> = {
  'engine/kernel/arena.ts': `export const Arena = {
    numbers: (_arena, count) => new Uint32Array(count),
    zeros: (_arena, count) => new Uint32Array(count),
    first: (_arena, numbers, count) => numbers.subarray(0, count),
  };`,
  // rows of posts are laid out for those loops alone
  'engine/columns/post-rows.ts': `export const RowCounts = null;
    export const numbersIn = (column) => (column.terms ?? column.distinct).length;\n${nothing('buildPostRows')}`,
  'engine/words/marks.ts': 'export const markerOf = () => null;',
  'answer/items.ts': `export const itemPlan = () => null, itemsKept = 0;\n${nothing('itemOf', 'marksIn', 'textOf')}`,
  // a page is not mended here, and says itself what stands for what, and what parts its values
  'fields/read/mending.ts': `const none = new Map();
    export const saidBy = () => none, placesOf = () => none;\n${nothing('stepOf', 'retryOf', 'asFigures', 'isBareAddress')}`,
  // items are told apart by their place, none is left out, and nothing is told of them
  'fields/read/record-reader.ts': `import { holdsTerms } from '../../model/post.js';
    import { FieldParser } from './parse.js';
    import { Taxonomy } from './taxonomy.js';
    export class RecordReader {
      constructor(fields, contexts) {
        this.all = fields.map((field) => {
          const terms = holdsTerms(field) ? new Taxonomy() : null;
          return [field.key, terms, new FieldParser(field, contexts.get(field.key), terms)];
        });
      }
      read(record) {
        const values = {};
        for (const [key, , parser] of this.all) {
          const value = parser.read(record);
          if (value != null) values[key] = value;
        }
        return values;
      }
      get taxonomies() {
        return Object.fromEntries(this.all.flatMap(([key, terms]) => (terms ? [[key, terms.terms]] : [])));
      }
    }`,
  'fields/read/read-posts.ts': `import { cleanValue } from '../../text/clean-text.js';
    import { RecordReader } from './record-reader.js';
    export class PostReader {
      constructor(fields, contexts) {
        this.records = new RecordReader(fields, contexts);
        this.id = fields.find((field) => field.role === 'id').key;
      }
      read(record) {
        const raw = cleanValue(record);
        return { post: { id: raw[this.id], values: this.records.read(raw) } };
      }
    }
    export const maxRejections = 0;\n${nothing('readPosts')}`,
  'fields/read/prepare.ts': `import { DayOrder } from '../values/dates.js';
    import { cellText } from './cell.js';
    export const prepareFields = (records, fields) => new Map(fields.map((field) => {
      const order = new DayOrder();
      if (field.type === 'date') for (const record of records) order.add(cellText(record[field.key]));
      return [field.key, { dayFirst: order.isDayFirst, parents: null, references: null }];
    }));\n${nothing('sameAs', 'companionsOf')}`,
  'fields/read/parse.ts': `import { own } from '../../text/own.js';
    import { cellTexts, isEmpty } from './cell.js';
    import { plainParser } from './plain-parser.js';
    export class FieldParser {
      constructor(field, context, taxonomy) {
        const { key, separator } = field;
        const parse = plainParser(field, context);
        const terms = (raw) => {
          const slugs = cellTexts(raw, separator).map((text) => taxonomy.place([text]));
          return slugs.length > 0 ? [...new Set(slugs)] : null;
        };
        this.read = (record) => {
          const raw = own(record, key);
          return isEmpty(raw) ? null : taxonomy ? terms(raw) : parse(raw);
        };
      }
    }`,
  // terms of a page are no tree, and none is known before
  'fields/read/taxonomy.ts': `import { SlugMaker } from '../../text/slug.js';
    export class Taxonomy {
      terms = [];
      slugs = new SlugMaker();
      byLabel = new Map();
      place([label]) {
        let slug = this.byLabel.get(label);
        if (slug === undefined) {
          slug = this.slugs.make(label);
          this.terms.push({ slug, label, parent: null });
          this.byLabel.set(label, slug);
        }
        return slug;
      }
    }`,
  'fields/read/tree.ts': `export const isNested = () => false, nestedLabels = () => null, pathLabels = (text) => [text];
    export const mostLevels = 0;\n${nothing('branchOf', 'parentsOf')}`,
  'fields/relations.ts': 'export const relateFields = (fields) => fields, keyOfObjects = () => undefined;',
  'fields/private.ts': 'export const privateWords = () => null;',
  'fields/values/units.ts': 'export const unitOf = () => undefined, withoutUnit = (text) => text;',
  'fields/values/parting.ts': `export const partingSigns = [];\n${nothing('isParting')}`.replace('=> []', '=> false'),
  'model/texts.ts': `export const englishTexts = {}, textsShape = ${noShape};\nexport const wordsOf = (own) => own;`,
  'model/word-sets.ts': `export const wordSetLanguages = [];\n${nothing('wordSet')}`,
  'shape/shape.ts': fillsIn,
  'lens/lens.ts': ownLens,
  // the controls of a page stand for what they stand for, however many terms its items have
  'kinds/terms/many-options.ts': `export const mostWhole = Infinity;\n${nothing('drawMany', 'findOptions')}`,
  'look/look.ts': `export const lookShape = ${noShape};\n${nothing('makeLook', 'pageLook', 'placedAt')}`,
  'card/parts.ts': `export const cardPartShape = ${noShape};\n${nothing('partKind', 'makePart', 'proposePart', 'partsFor')}`,
  'lens/card.ts': nothing('cardParts', 'suggestCard'),
  'answer/ways-out.ts': nothing('waysOut'),
  'answer/others.ts': nothing('otherPosts'),
  'kinds/terms/misses.ts': nothing('termMisses'),
  // no control of a page takes the time of day
  'dates/minute.ts': `export const minutesADay = 1440;\n${nothing('minuteNumber', 'minuteText')}`,
  'kinds/range/misses.ts': nothing('rangeMisses'),
  'kinds/search/misses.ts': nothing('searchMisses'),
  'kinds/terms/changes.ts': nothing('countChanges', 'labelChanges', 'singleChanges', 'termChanges'),
  'kinds/terms/compact.ts': nothing('frameOfTerms', 'compactTerms'),
  'kinds/terms/warnings.ts': `export const noValues = {}, oneTerm = {};\n${nothing('termsLeft', 'termWarnings')}`,
};

/** Parts of files that a page of its own items has no use for. */
const cuts: Record<string, RegExp> = {
  // kinds of facets that no control of a page is
  'kinds/kinds.ts': /^.*\b(buttons|tree|steps|letters|favourites|timeRange)\b.*$/gm,
  // names on a page are those it has: none was another before, and search engines find the page and no lens
  'address/read.ts':
    / {2}for \(const \{ name, is \} [^]*?\n {2}\}\n| {6}if \(target\.moved [^]*?\n {6}\}\n| \|\| aliases\.includes\(value\)/g,
  'lens/lens.ts': /^ *(aliases|former|gone): withDefault\(.*$/gm,
  'kinds/common.ts': /^ *indexed: optional\(.*$/gm,
  // which field is a title or a picture is no matter of a page that draws its items itself
  'fields/discover.ts': /giveRoles\(fields, columns\);/g,
};

function leaveOut(): Plugin {
  const of = <T>(files: Record<string, T>, id: string) =>
    Object.entries(files).find(([file]) => id.endsWith(`/core/src/${file}`))?.[1];
  return {
    name: 'leave-out',
    enforce: 'pre',
    load: (id) => of(without, id) ?? null,
    transform: (code, id) => {
      const cut = of(cuts, id);
      return cut ? code.replace(cut, '') : null;
    },
  };
}

/** What only those ask a kind of facet for who work on a lens. */
const ofTheStudio = new Set(
  'noun texts valueForm nearValue isListable frame compact find misses takesMatch changed problems warnings suits canShow changes settings why written fieldNoun types of'.split(
    ' ',
  ),
);

/** Takes out of kinds of facets what no page asks them for. */
function trimKinds(): Plugin {
  return {
    name: 'trim-kinds',
    transform: {
      order: 'post',
      handler(code, id) {
        if (!id.includes('/core/src/kinds/')) return null;
        const cuts = cutsIn(this.parse(code)).sort((a, b) => b[0] - a[0]);
        return cuts.reduce((kept, [from, to]) => kept.slice(0, from) + kept.slice(to), code);
      },
    },
  };
}

interface Tree {
  type: string;
  start: number;
  end: number;
  [part: string]: unknown;
}

/** Where in some code properties of objects stand that are to go, each with the comma after it. */
function cutsIn(tree: unknown): [from: number, to: number][] {
  if (typeof tree !== 'object' || tree === null) return [];
  if (Array.isArray(tree)) return tree.flatMap(cutsIn);
  const node = tree as Tree;
  if (node.type !== 'ObjectExpression') return Object.values(node).flatMap(cutsIn);
  const properties = node.properties as (Tree & { key?: Tree & { name?: string } })[];
  return properties.flatMap((one, i) => {
    if (!ofTheStudio.has(one.key?.name ?? '')) return cutsIn(one);
    return [[one.start, properties[i + 1]?.start ?? node.end - 1] as [number, number]];
  });
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
  plugins: [leaveOut(), trimKinds(), shorten()],
  build: {
    target: 'es2022',
    lib: { entry: 'src/index.ts', formats: ['es'], fileName: () => 'ivy-page.js' },
    rolldownOptions: { output: { minify: true, chunkFileNames: 'ivy-page-[name]-[hash].js' } },
  },
});
