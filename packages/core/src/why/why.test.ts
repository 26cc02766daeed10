import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { expectedAnswer, passes } from '../../test/reference.js';
import { answer } from '../answer/answer.js';
import { buildIndex } from '../engine/index/build.js';
import type { Query } from '../lens/query.js';
import { explain } from './explain.js';
import { nearest } from './nearest.js';
import { sieve } from './sieve.js';

test('explains every post as the reference judges it, and the matched ones are those that pass', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const all = answer(index, {
        ...query,
        lens: { ...query.lens, paging: { mode: 'all', size: 1, sizes: [] } },
        page: 1,
      });
      const matched = new Set(all.items.map((item) => item.id));
      collection.posts.forEach((post) => {
        const p = index.numberOf(post.id)!;
        const why = explain(index, query, p);
        expect(why.passes).toBe(matched.has(post.id));
        for (const { key, passes: says, reason } of why.facets) {
          const facet = query.lens.facets.find((one) => one.key === key)!;
          expect(says).toBe(passes(collection, post, query.lens, facet, query.selections[key]!));
          expect(reason).toMatch(/\.$/);
        }
      });
    }),
    { numRuns: 200 },
  );
});

test('the sieve and the near posts add up', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const { total, matched } = expectedAnswer(collection, query);
      const { steps, ...ends } = sieve(index, query);
      expect(ends).toEqual({ total, matched });
      expect(steps.at(-1)?.after ?? total).toBe(matched);
      const near = nearest(index, query, 1000);
      expect(near.failing.reduce((sum, count) => sum + count, 0)).toBe(total);
      expect(near.failing[0]).toBe(matched);
      expect(near.posts.length).toBe(near.failing[1] ?? 0);
      for (const step of steps) {
        const { [step.facet]: own, ...others } = query.selections;
        expect(step.alone).toBe(expectedAnswer(collection, { ...query, selections: { [step.facet]: own! } }).matched);
        expect(step.back).toBe(expectedAnswer(collection, { ...query, selections: others }).matched - matched);
        expect(near.alone[step.facet]).toBe(step.back);
      }
    }),
    { numRuns: 200 },
  );
});

test('near posts are those that `explain` says one facet keeps out, the least missed first', () => {
  fc.assert(
    fc.property(asked, ({ collection, query }) => {
      const index = buildIndex(collection);
      const expected = collection.posts
        .map(({ id }) => ({ id, why: explain(index, query, index.numberOf(id)!) }))
        .filter(({ why }) => why.inScope && why.facets.filter((facet) => !facet.passes).length === 1)
        .map(({ id, why }) => ({ id, reason: why.facets.find((facet) => !facet.passes)! }))
        .map(({ id, reason }) => ({ id, facet: reason.key, reason, by: reason.miss!.by ?? Infinity }))
        .sort((a, b) => (a.by === b.by ? (a.id < b.id ? -1 : 1) : a.by - b.by))
        .map(({ id, facet, reason }) => ({ id, facet, reason }));
      expect(nearest(index, query, 1000).posts).toEqual(expected);
      expect(nearest(index, query, 2).posts).toEqual(expected.slice(0, 2));
    }),
    { numRuns: 200 },
  );
});

const index = buildIndex({
  fields: [
    field('title', 'text', { role: 'title' }),
    field('habitat', 'terms', { tree: true, multiple: true }),
    field('day', 'date'),
    field('minutes', 'number'),
  ],
  taxonomies: {
    habitat: [
      { slug: 'shore', label: 'Shore', parent: null },
      { slug: 'mudflat', label: 'Mudflat', parent: 'shore' },
      { slug: 'shingle', label: 'Shingle', parent: 'shore' },
      { slug: 'reedbed', label: 'Reedbed', parent: null },
    ],
  },
  posts: [
    { id: 'a', values: { title: 'A tern', habitat: ['shingle'], day: '2026-06-01', minutes: 4 } },
    { id: 'b', values: { title: 'A fern', habitat: ['mudflat'], day: '2026-05-01', minutes: 9 } },
    { id: 'c', values: { title: 'Terns' } },
  ],
});
const lens = lensOf({
  facets: [
    { key: 'q', kind: 'search', fields: ['title'] },
    { key: 'habitat', kind: 'tree', field: 'habitat' },
    { key: 'day', kind: 'date-range', field: 'day' },
    { key: 'minutes', kind: 'number-range', field: 'minutes' },
  ],
});
const selections: Query['selections'] = {
  q: { type: 'search', text: 'tern' },
  habitat: { type: 'terms', terms: ['mudflat'] },
  day: { type: 'days', from: null, to: '2026-05-31' },
  minutes: { type: 'numbers', from: 5, to: 10 },
};
const query: Query = { lens, selections, sort: null, page: 1 };

test('says by which value a post passes, and how far it misses', () => {
  const reasons = (id: string) => explain(index, query, index.numberOf(id)!).facets;
  expect(reasons('a')).toEqual([
    { key: 'q', passes: true, reason: 'It has “tern”.' },
    {
      key: 'habitat',
      passes: false,
      reason: 'It has Shingle, not Mudflat.',
      miss: { by: 2, unit: 'steps', nearest: 'shingle' },
    },
    {
      key: 'day',
      passes: false,
      reason: '2026-06-01 is 1 day after the range.',
      miss: { by: 1, unit: 'days', nearest: '2026-06-01' },
    },
    { key: 'minutes', passes: false, reason: '4 is 1 before the range.', miss: { by: 1, unit: 'units', nearest: '4' } },
  ]);
  expect(reasons('b')).toEqual([
    { key: 'q', passes: false, reason: 'It does not have “tern”.', miss: { by: 1, unit: 'letters', nearest: 'fern' } },
    { key: 'habitat', passes: true, reason: 'It has Mudflat.' },
    { key: 'day', passes: true, reason: '2026-05-01 is within the range.' },
    { key: 'minutes', passes: true, reason: '9 is within the range.' },
  ]);
  expect(
    reasons('c')
      .slice(1)
      .map((facet) => facet.reason),
  ).toEqual(['It has no value here.', 'It has no value here.', 'It has no value here.']);
});

test('the nearest post is the one that misses least', () => {
  const { day, q } = selections;
  const near = nearest(index, { ...query, selections: { day: day!, q: q! } });
  expect(near.failing).toEqual([0, 3, 0]);
  expect(near.alone).toEqual({ q: 1, day: 2 });
  expect(near.posts.map((post) => [post.id, post.facet])).toEqual([
    ['a', 'day'],
    ['b', 'q'],
    ['c', 'day'],
  ]);
});
