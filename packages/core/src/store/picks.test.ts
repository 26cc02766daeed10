import fc from 'fast-check';
import { pickNumbers, pickStarts } from './picks.js';

const kinds = [Uint8Array, Int16Array, Uint16Array, Uint32Array, Int32Array, Float32Array, Float64Array];

/** Runs long enough to be copied in one go, single rows, and added ones. */
const runs = fc.array(
  fc.oneof(
    fc.tuple(fc.nat({ max: 200 }), fc.nat({ max: 120 })).map(([start, length]) => ({ start, length })),
    fc.integer({ min: -20, max: -1 }).map((start) => ({ start, length: 1 })),
  ),
  { maxLength: 8 },
);
const picksOf = (all: readonly { start: number; length: number }[]) =>
  Int32Array.from(all.flatMap(({ start, length }) => Array.from({ length }, (_, i) => start + i)));

test.each(kinds.map((kind) => [kind.name, kind] as const))('rows of %s are picked from two lists', (_, Kind) => {
  const old = Kind.from(Array.from({ length: 321 }, (__, i) => i % 251));
  const added = Kind.from(Array.from({ length: 20 }, (__, i) => 255 - i));
  fc.assert(
    fc.property(runs, (all) => {
      const picks = picksOf(all);
      expect([...pickNumbers(new Kind(picks.length), old, added, picks)]).toEqual(
        Array.from(picks, (pick) => (pick < 0 ? added[~pick]! : old[pick]!)),
      );
    }),
    { numRuns: 50 },
  );
});

test('rows of several numbers begin where those before them end', () => {
  const [old, added] = [Uint32Array.of(0, 2, 2, 5), Uint32Array.of(0, 1, 4)];
  expect([...pickStarts(old, added, Int32Array.of(2, ~1, 0, 1, ~0))]).toEqual([0, 3, 6, 8, 8, 9]);
});
