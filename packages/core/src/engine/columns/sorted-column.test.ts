import { finished } from '../base/steps.js';
import fc from 'fast-check';
import { Arena } from '../kernel/arena.js';
import { orderByKeys } from '../store/order.js';
import { buildSortedColumn, buildWholeColumn, postsWithin, type SortedColumn } from './sorted-column.js';

const size = 700;
const numbered = Uint32Array.from({ length: size }, (_, p) => p);

/** Values with none missing between them, with gaps, and with parts; now and then none. */
const kinds = {
  gapless: fc.nat({ max: 5 }),
  'far apart': fc.integer({ min: -40, max: 40 }).map((n) => n * 7),
  broken: fc.integer({ min: -20, max: 20 }).map((n) => n / 4),
};
const valuesOf = (value: fc.Arbitrary<number>) =>
  fc
    .array(fc.option(value, { freq: 8, nil: NaN }), { minLength: 20, maxLength: 60 })
    .map((some) => Float64Array.from({ length: size }, (_, p) => some[(p * p) % some.length]!));

function column(values: Float64Array, arena: Arena | null): SortedColumn {
  return buildSortedColumn(values, finished(orderByKeys(values, numbered, 'asc')), arena);
}

const end = fc.option(fc.oneof(fc.integer({ min: -300, max: 300 }), fc.double({ min: -10, max: 10, noNaN: true })));

test.each(Object.entries(kinds))('posts with values that are %s are found between any two ends', (_, value) => {
  fc.assert(
    fc.property(valuesOf(value), fc.boolean(), end, end, (given, isFalling, from, to) => {
      // as posts are numbered by a field: the greatest value first, and posts without one last
      const values = isFalling ? given.slice().sort().reverse() : given;
      if (isFalling) values.copyWithin(0, values.filter(Number.isNaN).length).fill(NaN, values.length - count(given));
      const expected = [...numbered].filter(
        (p) => !Number.isNaN(values[p]!) && (from === null || values[p]! >= from) && (to === null || values[p]! <= to),
      );
      const plain = column(values, null);
      if (isFalling) expect(plain.descending).toBe(true);
      expect([...postsWithin(plain, plain, from, to).list]).toEqual(expected);
      const arena = new Arena(size, 40_000);
      const kept = column(values, arena);
      arena.during(() => {
        const found = postsWithin(kept, kept, from, to, arena);
        expect([found.count, ...found.list]).toEqual([expected.length, ...expected]);
      });
    }),
    { numRuns: 150 },
  );
});

const count = (values: Float64Array) => values.filter(Number.isNaN).length;

test('the values from the least to the greatest are distinguished from those with gaps', () => {
  const of = (...values: number[]) =>
    column(
      Float64Array.from({ length: size }, (_, p) => values[p] ?? NaN),
      null,
    );
  expect([of(3, 1, 2).gapless, of(3, 1).gapless, of(1, 1.5, 2).gapless, of().gapless]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});

const whole = fc.option(fc.oneof(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -400, max: 400 })), { nil: null });

test('whole numbers that lie close are distinguished without being sorted, as they are when sorted', () => {
  fc.assert(
    fc.property(fc.array(whole, { maxLength: 80 }), fc.boolean(), fc.boolean(), (given, isFalling, isOnArena) => {
      const all = isFalling ? given.sort((a, b) => (b ?? -1e9) - (a ?? -1e9)) : given;
      const none = -0x8000;
      const values = Float64Array.from(all, (one) => one ?? NaN);
      const order = finished(orderByKeys(values, Uint32Array.from(all.keys()), 'asc'));
      const arena = () => (isOnArena ? new Arena(all.length, 40_000) : null);
      const found = buildWholeColumn(
        Int16Array.from(all, (one) => one ?? none),
        none,
        arena(),
      );
      expect(found).toEqual(buildSortedColumn(values, order, arena()));
      if (isFalling) expect(found!.descending).toBe(true);
    }),
    { numRuns: 300 },
  );
});

test('whole numbers that lie far apart are left to be sorted', () => {
  expect(buildWholeColumn(Int32Array.of(0, 1_000_000), -1, null)).toBeNull();
});
