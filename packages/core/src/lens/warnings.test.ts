import { lensOf } from '../../test/arbitrary.js';
import type { FieldDescription } from '../fields/describe.js';
import { suitingKind } from './propose.js';
import { warningsOf } from './warnings.js';

const field = (key: string, more: Partial<FieldDescription> = {}): FieldDescription => ({
  key,
  label: key,
  type: 'terms',
  role: null,
  multiple: false,
  tree: false,
  separator: null,
  pathSeparator: null,
  filled: 10,
  distinct: 5,
  samples: [],
  spread: null,
  ...more,
});

const codes = (facets: object[], fields: FieldDescription[]) => {
  const lens = lensOf({ facets });
  return lens.facets.map((facet) => warningsOf(lens, facet, fields).map((warning) => warning.code));
};

test('a facet that works is left in peace', () => {
  const fields = [field('kind'), field('title', { type: 'text' }), field('day', { type: 'date' })];
  const facets = [
    { key: 'kind', kind: 'buttons', field: 'kind' },
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'day', kind: 'date-range', field: 'day' },
  ];
  expect(codes(facets, fields)).toEqual([[], [], []]);
});

test.each([
  ['field-gone', { key: 'x', kind: 'checkboxes', field: 'gone' }],
  ['field-gone', { key: 'x', kind: 'search', fields: ['kind', 'gone'] }],
  ['no-values', { key: 'x', kind: 'checkboxes', field: 'empty' }],
  ['one-term', { key: 'x', kind: 'radios', field: 'single' }],
  ['one-term', { key: 'x', kind: 'checkboxes', field: 'kind', only: ['a'] }],
  ['many-buttons', { key: 'x', kind: 'buttons', field: 'many' }],
  ['all-hidden', { key: 'x', kind: 'checkboxes', field: 'kind', only: ['a', 'b'], hide: ['b', 'a'] }],
  ['unreadable-dates', { key: 'x', kind: 'date-range', field: 'kind' }],
] as const)('says %s of such a facet', (code, facet) => {
  const fields = [
    field('kind'),
    field('empty', { filled: 0, distinct: 0 }),
    field('single', { distinct: 1 }),
    field('many', { distinct: 200 }),
  ];
  expect(codes([facet], fields)).toEqual([[code]]);
});

test('two facets of one address name are told at both', () => {
  const facets = [
    { key: 'kind', kind: 'checkboxes', field: 'kind' },
    { key: 'sort', kind: 'checkboxes', field: 'kind', aliases: ['kind'] },
  ];
  expect(codes(facets, [field('kind')])).toEqual([['same-name'], ['same-name']]);
});

test('the name of the size is in use only where visitors choose one', () => {
  const facets = [{ key: 'size', kind: 'checkboxes', field: 'kind' }];
  const warned = (paging: object) => {
    const lens = lensOf({ facets, paging });
    return warningsOf(lens, lens.facets[0]!, [field('kind')]).map(({ code }) => code);
  };
  expect([warned({}), warned({ sizes: [12] }), warned({ sizes: [12], mode: 'all' })]).toEqual([[], ['same-name'], []]);
});

test.each([
  [{ tree: true }, 'tree', 'branches'],
  [{ distinct: 60 }, 'dropdown', '60 terms'],
  [{ distinct: 4 }, 'checkboxes', 'one list'],
  [{ type: 'date' as const }, 'date-range', 'days'],
  [{ type: 'number' as const }, 'number-range', 'numbers'],
  [{ type: 'boolean' as const }, 'radios', 'yes'],
])('of a field with %j the suiting kind is %s', (more, kind, why) => {
  const suited = suitingKind(field('x', more));
  expect(suited.kind).toBe(kind);
  expect(suited.why).toContain(why);
});
