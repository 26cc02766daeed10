import fc from 'fast-check';
import { collection, field } from '../../../test/arbitrary.js';
import type { Collection, Post } from '../../model/post.js';
import { writeSnapshot } from '../snapshot/snapshot.js';
import { buildIndex, IndexBuilder } from './build.js';
import { finished } from '../base/steps.js';

/** Builds an index from posts that come in parts of some sizes, over and over. */
function builtInParts({ fields, taxonomies, posts }: Collection, parts: readonly number[], size?: number) {
  const builder = new IndexBuilder(fields, taxonomies, size);
  for (let from = 0, i = 0; from < posts.length; i++) {
    const to = from + parts[i % parts.length]!;
    builder.add(posts.slice(from, to));
    from = to;
  }
  return finished(builder.finish());
}

/** The same posts over and over, under ids of their own: more than are taken apart in one go. */
const many = (posts: readonly Post[], size: number): Post[] =>
  Array.from({ length: posts.length === 0 ? 0 : size }, (_, i) => ({
    id: `p${i}`,
    values: posts[(i * 7) % posts.length]!.values,
  }));

test('an index is the same whether its posts come at once or in parts, announced or not', () => {
  fc.assert(
    fc.property(
      collection,
      fc.nat({ max: 700 }),
      fc.array(fc.integer({ min: 1, max: 300 }), { minLength: 1, maxLength: 3 }),
      fc.option(fc.nat({ max: 800 }), { nil: undefined }),
      (given, size, parts, announced) => {
        const whole = { ...given, posts: many(given.posts, size) };
        const [inParts, atOnce] = [builtInParts(whole, parts, announced), buildIndex(whole)].map((index) =>
          finished(writeSnapshot(index)),
        );
        expect(inParts!.length).toBe(atOnce!.length);
        // byte by byte: a comparison of all at once takes most of the time of this test
        expect(inParts!.findIndex((byte, i) => byte !== atOnce![i])).toBe(-1);
      },
    ),
    { numRuns: 100 },
  );
});

test('posts are numbered newest first, those of a day by id, and are found again by it', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([...Array(300).keys()], { minLength: 300 }), (order) => {
      const dayOf = (i: number) => `2026-03-0${1 + (i % 9)}`;
      const posts = order.map((i): Post => ({ id: `p${i}`, values: { day: dayOf(i) } }));
      const index = buildIndex({ fields: [field('day', 'date', { role: 'published' })], taxonomies: {}, posts });
      const expected = posts
        .map(({ id, values }) => [values.day as string, id] as const)
        .sort(([a, x], [b, y]) => (a === b ? (x < y ? -1 : 1) : a < b ? 1 : -1))
        .map(([, id]) => id);
      expect(expected.map((_, p) => index.idOf(p))).toEqual(expected);
      expect(expected.map((id) => index.numberOf(id))).toEqual([...expected.keys()]);
    }),
    { numRuns: 20 },
  );
});

test('values of another kind that come late are kept as well as those before', () => {
  const kinds = [...Array(520).keys()];
  const late = (early: Post['values'], odd: Post['values']) => kinds.map((i) => (i < 515 ? early : odd));
  const values = late(
    { x: 4, d: '2026-03-01', t: ['a'], w: 'reed' },
    { x: 0.5, d: 'spring', t: ['b', 'a'], w: 'Ōtter' },
  );
  const index = builtInParts(
    {
      fields: [field('x', 'number'), field('d', 'date'), field('t', 'terms'), field('w', 'text')],
      taxonomies: { t: ['a', 'b'].map((slug) => ({ slug, label: slug, parent: null })) },
      posts: kinds.map((i) => ({ id: `p${String(i).padStart(3, '0')}`, values: values[i]! })),
    },
    [100, 7],
  );
  expect(kinds.map((p) => index.postAt(p).values)).toEqual(values);
});
