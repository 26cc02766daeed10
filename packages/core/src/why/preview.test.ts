import { isSearch, isTerms } from '../../test/facets.js';
import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { expectedAnswer } from '../../test/reference.js';
import { buildIndex } from '../engine/index/build.js';

import type { Query } from '../lens/query.js';
import { preview } from './preview.js';

test('any and all give what they would give once set', () => {
  fc.assert(
    fc.property(asked, fc.constantFrom('any' as const, 'all' as const), ({ collection, query }, match) => {
      const index = buildIndex(collection);
      for (const facet of query.lens.facets) {
        if (!isTerms(facet) && !isSearch(facet)) continue;
        const set = isSearch(facet) ? { ...facet, words: match } : { ...facet, match };
        const facets = query.lens.facets.map((one) => (one === facet ? set : one));
        expect(preview(index, query, { facet: facet.key, match }).matched).toBe(
          expectedAnswer(collection, { ...query, lens: { ...query.lens, facets } }).matched,
        );
      }
    }),
    { numRuns: 150 },
  );
});

const index = buildIndex({
  fields: [
    field('title', 'text', { role: 'title' }),
    field('habitat', 'terms', { tree: true, multiple: true }),
    field('kind', 'terms'),
    field('minutes', 'number'),
  ],
  taxonomies: {
    habitat: [
      { slug: 'shore', label: 'Shore', parent: null },
      { slug: 'mudflat', label: 'Mudflat', parent: 'shore' },
      { slug: 'upland', label: 'Upland', parent: null },
    ],
    kind: [
      { slug: 'walk', label: 'Walk', parent: null },
      { slug: 'upland', label: 'Upland walk', parent: null },
    ],
  },
  posts: [
    { id: 'a', values: { title: 'A', habitat: ['mudflat'], kind: ['walk'], minutes: 4 } },
    { id: 'b', values: { title: 'B', habitat: ['mudflat', 'upland'] } },
    { id: 'c', values: { habitat: ['upland'], kind: ['upland'] } },
  ],
});
const lens = lensOf({
  facets: [
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'habitat', kind: 'tree', field: 'habitat' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
  ],
});
const query = (terms: string[]): Query => {
  return { lens, selections: { habitat: { type: 'terms', terms } }, sort: null, page: 1 };
};

test('a term that is hidden takes its branch along: what can still be reached is told', () => {
  expect(preview(index, query(['mudflat']), { facet: 'habitat', hide: 'shore' })).toEqual({
    matched: 2,
    reached: 2,
    choices: 1,
  });
});

test('another field keeps the choices it has too, and lifts the others', () => {
  const swap = { facet: 'habitat', field: 'kind' };
  expect(preview(index, query(['upland']), swap)).toEqual({ matched: 1, reached: 2, choices: 2 });
  expect(preview(index, query(['mudflat']), swap).matched).toBe(3);
});

test('of ranges and searches it tells how many posts have a value at all', () => {
  expect(preview(index, query(['upland']), { facet: 'minutes', field: 'minutes' })).toMatchObject({
    reached: 1,
    choices: null,
  });
  expect(preview(index, query([]), { facet: 'q', field: 'title' })).toMatchObject({ reached: 2, choices: null });
  expect(() => preview(index, query([]), { facet: 'none', match: 'all' })).toThrow('no facet');
});
