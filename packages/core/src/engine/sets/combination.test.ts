import fc from 'fast-check';
import { bitsOf, fullBits } from '../base/bits.js';
import { PostSet } from './post-set.js';
import { Arena } from '../kernel/arena.js';
import { Combination } from './combination.js';

const size = 320;
const every = Array.from({ length: size }, (_, p) => p);
const some = (maxLength: number) =>
  fc.uniqueArray(fc.nat({ max: size - 1 }), { maxLength }).map((posts) => posts.sort((a, b) => a - b));

/** Sets as they come: few posts as a list, many as bits, or posts in a row. */
const passing = fc.oneof(
  some(9).map((posts) => ({ posts, set: () => PostSet.ofList(size, Uint32Array.from(posts)) })),
  some(size).map((posts) => ({ posts, set: () => PostSet.ofBits(size, bitsOf(size, posts)) })),
  fc.tuple(fc.nat({ max: size - 1 }), fc.nat({ max: size })).map(([first, count]) => {
    const posts = every.slice(first, first + count);
    return { posts, set: () => PostSet.ofSpan(size, first, posts.length) };
  }),
);
const scopes = fc.oneof(
  fc.constant({ posts: every, set: () => PostSet.ofBits(size, fullBits(size), size) }),
  some(size).map((posts) => ({ posts, set: () => PostSet.ofBits(size, bitsOf(size, posts)) })),
);

test('all facets together, and all but each of them, are asked for in any order and as often as one likes', () => {
  fc.assert(
    fc.property(scopes, fc.array(passing, { maxLength: 5 }), fc.array(fc.nat({ max: 4 })), (scope, passes, asked) => {
      const inAll = (facets: typeof passes) =>
        scope.posts.filter((post) => facets.every(({ posts }) => posts.includes(post)));
      for (const arena of [null, new Arena(size, 0)]) {
        const work = () => {
          const combined = new Combination(
            scope.set(),
            passes.map(({ set }) => set()),
            arena,
          );
          expect([...combined.all.list]).toEqual(inAll(passes));
          for (const of of asked.filter((one) => one < passes.length)) {
            const expected = inAll(passes.filter((_, i) => i !== of));
            const left = combined.leaveOneOut(of);
            expect([left.count, ...left.list]).toEqual([expected.length, ...expected]);
          }
        };
        if (arena) arena.during(work);
        else work();
      }
    }),
    { numRuns: 300 },
  );
});
