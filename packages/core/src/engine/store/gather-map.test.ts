import fc from 'fast-check';
import { inOrder, gatherNumbers, gatherMapOf, gatherStarts } from './gather-map.js';

const kinds = [Uint8Array, Int16Array, Uint16Array, Uint32Array, Int32Array, Float32Array, Float64Array];

/** Runs long enough to be copied in one go, single rows, and added ones. */
const runs = fc.array(
  fc.oneof(
    fc.tuple(fc.nat({ max: 200 }), fc.nat({ max: 120 })).map(([start, length]) => ({ start, length })),
    fc.integer({ min: -20, max: -1 }).map((start) => ({ start, length: 1 })),
  ),
  { maxLength: 8 },
);
const rowsOf = (all: readonly { start: number; length: number }[]) =>
  Int32Array.from(all.flatMap(({ start, length }) => Array.from({ length }, (_, i) => start + i)));

test.each(kinds.map((kind) => [kind.name, kind] as const))('rows of %s are picked from two lists', (_, Kind) => {
  const old = Kind.from(Array.from({ length: 321 }, (__, i) => i % 251));
  const added = Kind.from(Array.from({ length: 20 }, (__, i) => 255 - i));
  fc.assert(
    fc.property(runs, (all) => {
      const rows = rowsOf(all);
      expect([...gatherNumbers(new Kind(rows.length), old, added, gatherMapOf(rows))]).toEqual(
        Array.from(rows, (pick) => (pick < 0 ? added[~pick]! : old[pick]!)),
      );
    }),
    { numRuns: 50 },
  );
});

test('rows of several numbers begin where those before them end', () => {
  const [old, added] = [Uint32Array.of(0, 2, 2, 5), Uint32Array.of(0, 1, 4)];
  expect([...gatherStarts(old, added, gatherMapOf(Int32Array.of(2, ~1, 0, 1, ~0)))]).toEqual([0, 3, 6, 8, 8, 9]);
});

test('rows that stand in a row in their list are one run, of added ones too', () => {
  const runsOf = (...rows: number[]) => [...gatherMapOf(Int32Array.from(rows)).runs];
  expect(runsOf()).toEqual([]);
  expect(runsOf(3, 4, 5, 9)).toEqual([3, 3, 9, 1]);
  expect(runsOf(~2, ~3, ~4, ~3)).toEqual([~2, 3, ~3, 1]);
  // what comes from one list is never a run with what comes from the other
  expect(runsOf(~0, 0, 1)).toEqual([~0, 1, 0, 2]);
  expect(runsOf(0, ~0)).toEqual([0, 1, ~0, 1]);
  expect(runsOf(5, 4)).toEqual([5, 1, 4, 1]);
});

test('added rows are numbered in the order they stand in', () => {
  const { gatherMap, added, addedAt } = inOrder(gatherMapOf(Int32Array.of(7, ~2, 8, ~0, ~1)));
  expect([...gatherMap.rows]).toEqual([7, ~0, 8, ~1, ~2]);
  expect([...gatherMap.runs]).toEqual([7, 1, ~0, 1, 8, 1, ~1, 2]);
  expect([...added.rows]).toEqual([~2, ~0, ~1]);
  expect([...addedAt]).toEqual([1, 3, 4]);
});
