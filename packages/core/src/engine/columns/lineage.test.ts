import fc from 'fast-check';
import { gathered, lowest, treeOf } from './lineage.js';

/** Terms of which each may stand under one before it, and the terms each post carries, with those above them. */
const carried = fc
  .integer({ min: 1, max: 12 })
  .chain((terms) =>
    fc
      .tuple(
        fc.tuple(...Array.from({ length: terms }, (_, t) => fc.integer({ min: -1, max: t - 1 }))),
        fc.array(fc.uniqueArray(fc.nat({ max: terms - 1 }), { maxLength: 4 }), { maxLength: 20 }),
      )
      .map(([parents, posts]) => ({ parents, posts: posts.map((own) => withAbove(parents, own)) })),
  );

function withAbove(parents: readonly number[], own: readonly number[]): number[] {
  const all = new Set<number>();
  for (const term of own) for (let t = term; t >= 0; t = parents[t]!) all.add(t);
  return [...all];
}

test('counts of the lowest terms, gathered, are those of all terms', () => {
  fc.assert(
    fc.property(carried, ({ parents, posts }) => {
      const tree = treeOf(Int32Array.from(parents));
      if (!tree) {
        expect(parents.every((parent) => parent < 0)).toBe(true);
        return;
      }
      const starts = Uint32Array.from([0, ...posts.map((_, p) => posts.slice(0, p + 1).flat().length)]);
      const kept = lowest(tree, starts, Uint16Array.from(posts.flat()));
      // others' counts lie before them
      const counts = new Uint32Array(2 + parents.length + tree.branching.length);
      for (const number of kept.values) counts[2 + number]!++;
      gathered(tree, counts, 2, 2 + parents.length);
      expect([...counts.subarray(2, 2 + parents.length)]).toEqual(
        parents.map((_, t) => posts.filter((all) => all.includes(t)).length),
      );
      expect(kept.starts[posts.length]).toBe(kept.values.length);
    }),
    { numRuns: 300 },
  );
});

test('what follows from another term is left out', () => {
  // 1 and 2 under 0, 3 under 1; a post carries 3, another 2 and 3
  const tree = treeOf(Int32Array.of(-1, 0, 0, 1))!;
  expect([...tree.branching]).toEqual([0]);
  const kept = lowest(tree, Uint32Array.of(0, 3, 7), Uint16Array.of(3, 1, 0, 2, 0, 3, 1));
  expect([[...kept.starts], [...kept.values]]).toEqual([
    [0, 1, 4],
    [3, 2, 4, 3],
  ]);
});
