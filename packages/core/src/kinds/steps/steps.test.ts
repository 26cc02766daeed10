import { field, lensOf } from '../../../test/arbitrary.js';
import { readAddress } from '../../address/read.js';
import { writeAddress } from '../../address/write.js';
import { answer } from '../../answer/answer.js';
import { buildIndex } from '../../engine/index/build.js';
import { describeFields } from '../../fields/describe.js';
import { warningsOf } from '../../lens/warnings.js';
import type { TermFacetAnswer } from '../terms/answer.js';

const term = (slug: string, parent: string | null = null) => ({ slug, label: slug.toUpperCase(), parent });
const places = [
  term('coast'),
  term('north', 'coast'),
  term('spit', 'north'),
  term('slip', 'north'),
  term('south', 'coast'),
  term('inland'),
  term('fen', 'inland'),
];
const held = ['spit', 'spit', 'slip', 'north', 'south', 'fen', 'inland'];
const collection = {
  fields: [field('place', 'terms', { tree: true }), field('kind', 'terms')],
  taxonomies: { place: places, kind: [term('walk')] },
  posts: held.map((place, i) => ({ id: `p${i}`, values: { place: [place], ...(i > 1 && { kind: ['walk'] }) } })),
};
const index = buildIndex(collection);
const lens = (more: object = {}) =>
  lensOf({
    facets: [
      { key: 'place', kind: 'steps', field: 'place', levels: ['Region', 'Part'], ...more },
      { key: 'kind', kind: 'radios', field: 'kind' },
    ],
  });
const read = (address: string, on = lens()) => readAddress(address, on, index, 0);
const lists = (address: string, on = lens()) => {
  const { options } = answer(index, read(address, on).query).facets[0] as TermFacetAnswer;
  const words = ({ value, count, selected, partly }: (typeof options)[number]) =>
    `${value} ${count}${selected ? ' chosen' : partly ? ' on the way' : ''}`;
  const depths = [...new Set(options.map((option) => option.depth))];
  return depths.map((depth) => options.filter((option) => option.depth === depth).map(words));
};

test('a list for the top, and one for what is under each choice, counted as if nothing were chosen here', () => {
  expect(lists('')).toEqual([['coast 5', 'inland 2']]);
  expect(lists('place=coast')).toEqual([
    ['coast 5 chosen', 'inland 2'],
    ['north 4', 'south 1'],
  ]);
  expect(lists('place=spit')).toEqual([
    ['coast 5 on the way', 'inland 2'],
    ['north 4 on the way', 'south 1'],
    ['spit 2 chosen', 'slip 1'],
  ]);
  expect(lists('place=north&kind=walk')).toEqual([
    ['coast 3 on the way', 'inland 2'],
    ['north 2 chosen', 'south 1'],
    ['spit 0', 'slip 1'],
  ]);
});

test('its address is the deepest choice alone', () => {
  expect(writeAddress(read('place=coast,north,spit').query)).toBe('place=spit');
  expect(writeAddress(read('place=spit&place=coast').query)).toBe('place=spit');
  expect(read('place=spit,coast').notices).toEqual([]);
});

test('a form sends every list: what stands further down in another branch is passed over', () => {
  const { query, notices } = read('place=inland&place=north&place=spit');
  expect(writeAddress(query)).toBe('place=inland');
  expect(notices.map(({ code, value }) => [code, value])).toEqual([
    ['single-choice', 'north'],
    ['single-choice', 'spit'],
  ]);
  // a list that is set to any sends nothing
  expect(writeAddress(read('place=coast&place=&place=spit').query)).toBe('place=spit');
  expect(writeAddress(read('place=&place=').query)).toBe('');
});

test('terms without posts can be left out, but not those on the way', () => {
  expect(lists('place=spit&kind=walk', lens({ zero: 'hide' }))[2]).toEqual(['spit 0 chosen', 'slip 1']);
  expect(lists('place=coast', lens({ hide: ['north'] }))[1]).toEqual(['south 1']);
  expect(lists('', lens({ order: 'count' }))[0]).toEqual(['coast 5', 'inland 2']);
});

test('of a thousand terms in one list the rest are reported, and the chosen one is there', () => {
  const many = Array.from({ length: 1500 }, (_, i) => term(`m${i}`));
  const large = buildIndex({ ...collection, taxonomies: { place: many, kind: [] }, posts: [] });
  const { query } = readAddress('place=m1400', lens(), large, 0);
  const found = answer(large, query).facets[0] as TermFacetAnswer;
  expect([found.options.length, found.more, found.options.at(-1)!.value]).toEqual([1001, 499, 'm1400']);
});

test('a field without branches is reported: one list is a dropdown', () => {
  const fields = describeFields(collection).map((one) => ({ ...one, distinct: 5 }));
  const flat = lensOf({ facets: [{ key: 'kind', kind: 'steps', field: 'kind' }] });
  expect(warningsOf(flat, flat.facets[0]!, fields).map(({ code }) => code)).toEqual(['flat-tree']);
  const deep = lens();
  expect(warningsOf(deep, deep.facets[0]!, fields)).toEqual([]);
});
