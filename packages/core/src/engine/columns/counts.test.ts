import fc from 'fast-check';
import { Arena } from '../kernel/arena.js';
import { countsAt, noCounts } from './counts.js';

test('the counts that are not 0 are found among others, and none of those', () => {
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(0, 0, 0, 1, 7), { maxLength: 40 }),
      fc.array(fc.constantFrom(0, 0, 0, 1, 7), { maxLength: 40 }),
      fc.nat({ max: 3 }),
      (own, after, steps) => {
        // counts of a column begin at a multiple of four
        const first = steps * 4;
        const all = [...Array.from({ length: first }, () => 3), ...own, ...after];
        const arena = new Arena(200, 0);
        arena.during(() => {
          const values = Arena.numbers(arena, all.length);
          values.set(all);
          const counts = countsAt(values, first, own.length, arena);
          expect(counts.found).not.toBeNull();
          const found = [...counts.found!.subarray(counts.from, counts.to)].map((place) => place - counts.base);
          expect(found).toEqual(own.flatMap((count, n) => (count > 0 ? [n] : [])));
          expect(found.map((n) => counts.values[counts.first + n])).toEqual(own.filter((count) => count > 0));
        });
      },
    ),
  );
});

test('where nobody can look, nothing is said to be 0', () => {
  expect(countsAt(Uint32Array.of(0, 2), 0, 2, null).found).toBeNull();
  // counts that lie outside of the arena are not looked at by its kernel
  const arena = new Arena(200, 0);
  expect(arena.during(() => countsAt(Uint32Array.of(0, 2), 0, 2, arena)).found).toBeNull();
});

test('over no posts every count is 0, however many are asked for', () => {
  for (const size of [3, 40, 3]) {
    const counts = noCounts(size);
    expect(counts.size).toBe(size);
    expect([...counts.values.subarray(0, size)]).toEqual(Array.from({ length: size }, () => 0));
    expect([counts.from, counts.to, counts.found?.length]).toEqual([0, 0, 0]);
  }
});
