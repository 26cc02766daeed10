import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { expectedAnswer } from '../../test/reference.js';
import { writeAddress } from '../address/write.js';
import { buildIndex } from '../engine/index/build.js';
import type { Post } from '../model/post.js';
import { addressFaults } from './address-faults.js';
import { checkAddress, postsAt } from './saved-address.js';

test('what an address returns now holds as its expectation, and one post more does not', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const address = writeAddress(query);
      const { matched } = expectedAnswer(collection, query);
      const had = postsAt(index, query.lens, address, 0)!;
      expect(had).toHaveLength(matched);
      const check = (expected: object) => checkAddress(index, query.lens, address, expected, had, 0);
      const all = { matched, min: matched, max: matched, has: had };
      expect(check(all)).toMatchObject({ holds: true, reasons: [], lost: [], gained: { posts: 0 } });
      for (const wrong of [{ matched: matched + 1 }, { min: matched + 1 }, { has: ['nobody'] }])
        expect(check(wrong).holds).toBe(false);
      if (matched > 0) {
        expect(check({ max: matched - 1 }).holds).toBe(false);
        expect(check({ lacks: [had[0]!] }).got.there).toEqual([had[0]]);
      }
    }),
    { numRuns: 200 },
  );
});

const habitats = ['Mudflat', 'Reedbed', 'Saltmarsh'];
const posts: Post[] = Array.from({ length: 9 }, (_, i) => ({
  id: `n${i}`,
  values: { title: `Note ${i}`, habitat: [habitats[i % 3]!.toLowerCase()], seen: `2026-0${1 + i}-10`, minutes: i },
}));
const collection = {
  fields: [
    field('title', 'text', { role: 'title' }),
    field('habitat', 'terms', { label: 'Habitat' }),
    field('seen', 'date'),
    field('minutes', 'number'),
  ],
  taxonomies: {
    habitat: [...habitats, 'Hide & seek'].map((label) => ({
      slug: label.toLowerCase().replace(/\W+/g, '-'),
      label,
      parent: null,
    })),
  },
  posts,
};
const lens = lensOf({
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'] },
    { key: 'seen', kind: 'date-range', field: 'seen' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
    { key: 'lone', kind: 'radios', field: 'habitat' },
  ],
  sort: { options: [{ key: 'newest', field: 'seen', order: 'desc' }] },
});

test('posts that an address had and lost are told by the facet and the term that did it', () => {
  const index = buildIndex(collection);
  const had = postsAt(index, lens, 'zone=mudflat', 0)!;
  expect(had).toEqual(['n0', 'n3', 'n6']);
  const moved = posts
    .filter(({ id }) => id !== 'n6')
    .map((post) => (post.id === 'n3' ? { ...post, values: { ...post.values, habitat: ['saltmarsh'] } } : post))
    .concat({ id: 'n9', values: { title: 'New', habitat: ['mudflat'] } });
  const held = checkAddress(buildIndex({ ...collection, posts: moved }), lens, 'zone=mudflat', { matched: 3 }, had, 0);
  expect(held).toMatchObject({
    holds: false,
    reasons: ['2 where exactly 3 are expected'],
    lost: [
      { facet: 'habitat', text: 'Habitat: Saltmarsh now', posts: 1, some: [{ id: 'n3', title: 'Note 3' }] },
      { facet: null, text: 'no longer in the source', posts: 1 },
    ],
    gained: { posts: 1, some: [{ id: 'n9', title: 'New' }] },
    canonical: 'habitat=mudflat',
    notices: [{ code: 'moved', value: 'zone' }],
  });
});

test('faults of an address are named where they stand, with what exists and comes nearest', () => {
  const index = buildIndex(collection);
  const found = addressFaults(
    index,
    lens,
    'utm=x&zone=mudfat,reedbed&seen=2026-02-31&minutes=5 min&habitats=lagoon&sort=newst&lone=Hide seek&page=0',
    0,
  );
  expect(found.map(({ code, at, value, near, isLost }) => [at, code, value, near?.value ?? null, isLost])).toEqual([
    [1, 'moved', 'zone', null, false],
    [1, 'unknown-term', 'mudfat', 'mudflat', true],
    [2, 'bad-date', '2026-02-31', '2026-02-28', true],
    [3, 'bad-number', '5 min', '5/5', true],
    [4, 'unknown-name', 'habitats', 'habitat', false],
    [5, 'unknown-sort', 'newst', 'newest', true],
    [6, 'unknown-term', 'Hide seek', 'hide-seek', true],
    [7, 'page-clamped', '0', null, false],
  ]);
  expect(addressFaults(index, lens, 'habitat=mudflat&seen=2026', 0)).toEqual([]);
});
