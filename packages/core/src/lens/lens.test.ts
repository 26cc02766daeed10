import { makePart } from '../card/parts.js';
import fc from 'fast-check';
import { field, lensOf } from '../../test/arbitrary.js';
import { describeFields, type FieldDescription } from '../fields/describe.js';
import { discoverFields } from '../fields/discover.js';
import { readPosts } from '../fields/read/read-posts.js';
import { buildIndex } from '../engine/index/build.js';
import { lensSchema, readLens } from './lens.js';
import { plainField } from '../model/post.js';
import { humanise } from '../text/slug.js';
import { cardParts } from './card.js';
import { checkLens } from './check.js';
import { matchEffects } from '../dry-run/effects.js';
import { isLanguage, withKnownLocale } from './locale.js';
import { proposeLens } from './propose.js';

const fields = [field('habitat', 'terms'), field('open', 'boolean'), field('title', 'text', { role: 'title' })];
const pointers = (config: object) => checkLens(lensOf(config), fields).map((problem) => problem.pointer);

test('a field the source does not have is pointed at, with the name that was meant', () => {
  const problems = checkLens(lensOf({ facets: [{ key: 'h', kind: 'checkboxes', field: 'Habitat' }] }), fields);
  expect(problems).toEqual([
    {
      pointer: '/facets/0/field',
      message: 'names the field “Habitat”, which the source does not have; did you mean “habitat”?',
    },
  ]);
});

test('two parts with one address name are found, old names included', () => {
  const facet = (key: string, aliases: string[] = []) => ({ key, kind: 'checkboxes', field: 'habitat', aliases });
  expect(pointers({ facets: [facet('a'), facet('a')] })).toEqual(['/facets/1/key']);
  expect(pointers({ facets: [facet('a', ['b']), facet('b')] })).toEqual(['/facets/0/aliases/0']);
  expect(pointers({ facets: [facet('page')] })).toEqual(['/facets/0/key']);
});

test('a switch needs a yes/no field, a sort that exists, a zone that is known', () => {
  expect(pointers({ facets: [{ key: 's', kind: 'switch', field: 'habitat' }] })).toEqual(['/facets/0/field']);
  expect(pointers({ sort: { default: 'x' } })).toEqual(['/sort/default']);
  expect(pointers({ zone: 'Nowhere/Town' })).toEqual(['/zone']);
});

test('every problem of a config is reported at once', () => {
  const read = readLens({
    facets: [
      { key: 'A b', kind: 'checkboxes' },
      { key: 'c', kind: 'wheel', field: 'x' },
    ],
    paging: { size: 0 },
    bogus: 1,
  });
  expect(read.ok ? [] : read.problems.map((problem) => problem.pointer).sort()).toEqual([
    '/bogus',
    '/facets/0/field',
    '/facets/0/key',
    '/facets/1/kind',
    '/paging/size',
  ]);
});

test('the schema says what a facet may be', () => {
  expect(JSON.stringify(lensSchema())).toContain('"const":"checkboxes"');
});

test('a lens without a card shows what the fields’ roles suggest', () => {
  expect(cardParts(lensOf({}), fields)).toEqual([makePart({ show: 'title', field: 'title' })]);
});

test('a proposal for any source is a lens that works', () => {
  const records = Array.from({ length: 20 }, (_, i) => ({
    id: `n${i}`,
    name: `Note ${i}`,
    page: i % 3 === 0 ? 'Mud' : 'Reed',
    place: i % 2 ? 'Coast > North' : 'Coast > South',
    open: i % 2 ? 'yes' : 'no',
    date: `2026-01-${10 + i}`,
  }));
  const reading = readPosts(records, discoverFields(records));
  const described = describeFields(reading);
  const lens = lensOf(proposeLens(described));
  expect(checkLens(lens, reading.fields)).toEqual([]);
  expect(lens.facets.map((facet) => [facet.key, facet.kind])).toEqual([
    ['q', 'search'],
    ['page-2', 'checkboxes'],
    ['place', 'tree'],
    ['open', 'radios'],
    ['date', 'date-range'],
  ]);
  expect(lens.sort.default).toBe('newest');
});

test('any and all are known in numbers before they are set', () => {
  const index = buildIndex({
    fields,
    taxonomies: { habitat: ['a', 'b'].map((slug) => ({ slug, label: slug, parent: null })) },
    posts: [['a'], ['b'], ['a', 'b'], []].map((habitat, i) => ({ id: `${i}`, values: { habitat } })),
  });
  const lens = lensOf({ facets: [{ key: 'h', kind: 'checkboxes', field: 'habitat' }] });
  const effects = matchEffects(index, {
    lens,
    selections: { h: { type: 'terms', terms: ['a', 'b'] } },
    sort: null,
    page: 1,
  });
  expect(effects).toEqual({ h: { any: 3, all: 1 } });
});

test('a proposal passes its own check, whatever the fields are called', () => {
  const piece = fc.constantFrom(
    'a',
    'Z',
    'é',
    'ー',
    'ʰ',
    'ǅ',
    '🦆',
    ' ',
    '_',
    '-',
    '.',
    '҉',
    '9',
    'constructor',
    'sort',
    'page',
    '\u0301',
  );
  const name = fc.array(piece, { minLength: 1, maxLength: 60 }).map((pieces) => pieces.join('').slice(0, 110));
  const type = fc.constantFrom('terms', 'boolean', 'date', 'number', 'text');
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.record({ key: name, type }), { selector: ({ key }) => key, maxLength: 12 }),
      (named) => {
        const fields = named.map(({ key, type }) => ({
          ...plainField(key, humanise(key)),
          type,
          filled: 9,
          distinct: 3,
          samples: [],
          spread: null,
        })) as FieldDescription[];
        const read = readLens(proposeLens(fields));
        expect(read.ok ? checkLens(read.value, fields) : read.problems).toEqual([]);
      },
    ),
    { numRuns: 500 },
  );
});

test('languages and zones are those that can be drawn by', () => {
  for (const tag of ['en', 'de-AT', 'zh-Hant', 'ar']) expect(isLanguage(tag)).toBe(true);
  for (const tag of ['zz-1', 'en-', '', 'de_AT']) expect(isLanguage(tag)).toBe(false);
  const lens = lensOf({});
  expect(withKnownLocale(lens)).toBe(lens);
  expect(withKnownLocale({ ...lens, language: 'zz-1', zone: 'Mars/Base' })).toMatchObject({
    language: 'en',
    zone: 'UTC',
  });
});

test('a first lens is generous: long lists of terms are typed in, numbers that measure something are ranges', () => {
  const described = (
    key: string,
    type: FieldDescription['type'],
    distinct: number,
    more: object = {},
  ): FieldDescription => ({
    ...plainField(key, humanise(key)),
    type,
    filled: 100,
    distinct,
    samples: [],
    spread: type === 'number' ? { low: 1, high: 90, counts: [] } : null,
    ...more,
  });
  const kindsOf = (fields: FieldDescription[]) => {
    const read = readLens(proposeLens(fields));
    return read.ok ? read.value.facets.map(({ key, kind }) => `${key} ${kind}`) : read.problems;
  };
  const fields = [
    described('author', 'terms', 400),
    described('kind', 'terms', 5),
    described('minutes', 'number', 40),
    described('post_id', 'number', 90),
    described('row', 'number', 100, { spread: { low: 1, high: 100, counts: [] } }),
    described('tag', 'terms', 9000),
    described('day', 'date', 50),
  ];
  expect(kindsOf(fields)).toEqual(['kind checkboxes', 'author dropdown', 'minutes number-range', 'day date-range']);
  // where nothing suits well there is still something to choose
  expect(kindsOf([described('tag', 'terms', 9000)])).toEqual(['tag dropdown']);
  expect(kindsOf([described('row', 'number', 100, { spread: { low: 1, high: 100, counts: [] } })])).toEqual([
    'row number-range',
  ]);
  expect(kindsOf([described('id', 'text', 100, { role: 'id' })])).toEqual([]);
});
