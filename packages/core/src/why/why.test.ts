import fc from 'fast-check';
import { asked, field, lensOf } from '../../test/arbitrary.js';
import { expectedAnswer, passes } from '../../test/reference.js';
import { readAddress } from '../address/read.js';
import { answer, countMatched } from '../answer/answer.js';
import { buildIndex } from '../engine/index/build.js';
import type { Query } from '../lens/query.js';
import { explain } from './explain.js';
import { nearest } from './nearest.js';
import { sieve } from './sieve.js';
import { waysIn } from './ways-in.js';

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
      const { facets, ...ends } = sieve(index, query);
      expect(ends).toEqual({ total, matched });
      expect(facets.at(-1)?.left ?? total).toBe(matched);
      const near = nearest(index, query, { of: { failing: 1 }, first: 1000 });
      expect(near.failing.reduce((sum, count) => sum + count, 0)).toBe(total);
      expect(near.failing[0]).toBe(matched);
      expect([near.posts.length, near.found]).toEqual([near.failing[1] ?? 0, near.failing[1] ?? 0]);
      const before: Query['selections'] = {};
      for (const { key, alone, without, left } of facets) {
        const { [key]: own, ...others } = query.selections;
        before[key] = own!;
        const matchedBy = (selections: Query['selections']) =>
          expectedAnswer(collection, { ...query, selections }).matched;
        expect([alone, without, left]).toEqual([matchedBy({ [key]: own! }), matchedBy(others), matchedBy(before)]);
        expect(near.alone[key]).toBe(without - matched);
        const fallen = nearest(index, query, { of: { fallsAt: key }, first: 1000 });
        const came = facets[facets.findIndex((one) => one.key === key) - 1]?.left ?? total;
        expect([fallen.found, fallen.posts.length]).toEqual([came - left, came - left]);
        const ofOne = nearest(index, query, { of: { failing: 1, facet: key }, first: 1000 });
        expect(ofOne.found).toBe(near.alone[key]);
      }
      near.failing.forEach((count, failing) => {
        const posts = nearest(index, query, { of: { failing }, first: 1000 }).posts;
        expect(posts).toHaveLength(count);
        for (const { facets: all } of posts) expect(all.filter(({ passes: does }) => !does)).toHaveLength(failing);
      });
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
        .map(({ id, why: { facets } }) => ({
          ...{ id, facets },
          by: facets.find((facet) => !facet.passes)!.miss!.by ?? Infinity,
        }))
        .sort((a, b) => (a.by === b.by ? (a.id < b.id ? -1 : 1) : a.by - b.by))
        .map(({ id, facets }) => ({ id, facets }));
      const near = (first: number) =>
        nearest(index, query, { of: { failing: 1 }, first }).posts.map(({ id, facets }) => ({ id, facets }));
      expect(near(1000)).toEqual(expected);
      expect(near(2)).toEqual(expected.slice(0, 2));
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
    { key: 'q', passes: true, reason: 'It has “tern”.', value: null },
    {
      key: 'habitat',
      passes: false,
      reason: 'It has Shingle, not Mudflat.',
      value: 'Shingle',
      miss: { by: 2, unit: 'steps', nearest: 'shingle' },
    },
    {
      key: 'day',
      passes: false,
      reason: '2026-06-01 is 1 day after the range.',
      value: '2026-06-01',
      miss: { by: 1, unit: 'days', nearest: '2026-06-01' },
    },
    {
      key: 'minutes',
      passes: false,
      reason: '4 is 1 before the range.',
      value: '4',
      miss: { by: 1, unit: 'units', nearest: '4' },
    },
  ]);
  expect(reasons('b')).toEqual([
    {
      key: 'q',
      passes: false,
      reason: 'It does not have “tern”.',
      value: null,
      miss: { by: 1, unit: 'letters', nearest: 'fern' },
    },
    { key: 'habitat', passes: true, reason: 'It has Mudflat.', value: 'Mudflat' },
    { key: 'day', passes: true, reason: '2026-05-01 is within the range.', value: '2026-05-01' },
    { key: 'minutes', passes: true, reason: '9 is within the range.', value: '9' },
  ]);
  expect(
    reasons('c')
      .slice(1)
      .map((facet) => facet.reason),
  ).toEqual(['It has no value here.', 'It has no value here.', 'It has no value here.']);
});

test('the nearest post is the one that misses least', () => {
  const { day, q } = selections;
  const near = nearest(index, { ...query, selections: { day: day!, q: q! } }, { of: { failing: 1 } });
  expect(near.failing).toEqual([0, 3, 0]);
  expect(near.alone).toEqual({ q: 1, day: 2 });
  expect(near.posts.map(({ id, facets }) => [id, facets.find(({ passes: does }) => !does)!.key])).toEqual([
    ['a', 'day'],
    ['b', 'q'],
    ['c', 'day'],
  ]);
});

test('posts are found by a part of their title, in whatever case and with whatever marks, or by their id', () => {
  const find = (text: string) =>
    nearest(index, query, { of: { find: text } }).posts.map(({ id, title }) => [id, title]);
  expect(find('TERN')).toEqual([
    ['a', 'A tern'],
    ['c', 'Terns'],
  ]);
  expect(find('b')).toEqual([['b', 'A fern']]);
  expect(find(' ')).toEqual([]);
});

test('each way in lets the post in, and matches as many as it says', () => {
  fc.assert(
    fc.property(asked, ({ collection, query: { seed: _, ...any } }) => {
      const built = buildIndex(collection);
      const { posts } = nearest(built, any, { of: { failing: 1 }, first: 20 });
      const { posts: further } = nearest(built, any, { of: { failing: 2 }, first: 20 });
      for (const { id, facets } of [...posts, ...further]) {
        const post = built.numberOf(id)!;
        const ways = waysIn(built, any, post);
        const stopping = facets.filter(({ passes: does }) => !does).map(({ key }) => key);
        expect(ways.length).toBeGreaterThan(0);
        for (const { steps, address, matched } of ways) {
          expect(steps.map(({ facet }) => facet)).toEqual(stopping);
          const read = readAddress(address, any.lens, built, 0);
          expect(explain(built, read.query, post).passes).toBe(true);
          expect(countMatched(built, read.query)).toBe(matched);
        }
      }
    }),
    { numRuns: 200 },
  );
});

test('a post is let in by its own term, day or number, or without the facets that stop it', () => {
  const ways = (id: string) =>
    waysIn(index, query, index.numberOf(id)!).map(({ steps, address }) => [
      steps.map(({ text }) => text ?? 'cleared').join(', '),
      address,
    ]);
  expect(ways('a')).toEqual([
    ['also Shingle, to 2026-06-01, from 4', 'q=tern&habitat=mudflat,shingle&day=../2026-06-01&minutes=4/10'],
    ['cleared, cleared, cleared', 'q=tern'],
  ]);
  expect(ways('b')).toEqual([['cleared', 'habitat=mudflat&day=../2026-05-31&minutes=5/10']]);
});
