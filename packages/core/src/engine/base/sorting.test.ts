import fc from 'fast-check';
import { sortInSteps } from './sorting.js';
import { finished } from './steps.js';

test('numbers are sorted as the language sorts them, by whatever they are compared by', () => {
  // on both sides of where one step ends, and a few of them
  const size = fc.oneof(fc.nat({ max: 20 }), fc.integer({ min: 4090, max: 4100 }), fc.integer({ min: 0, max: 30_000 }));
  fc.assert(
    fc.property(size, fc.integer({ min: 1, max: 1000 }), (count, step) => {
      // every number below `count` once, in an order that looks like chance
      const keys = Float64Array.from({ length: count }, (_, i) => (i * 48_271 * step) % 2_147_483_647);
      const compare = (a: number, b: number) => keys[a]! - keys[b]! || a - b;
      const numbers = Uint32Array.from({ length: count }, (_, i) => i);
      const expected = [...numbers].sort(compare);
      finished(sortInSteps(numbers, compare));
      expect([...numbers]).toEqual(expected);
    }),
    { numRuns: 40 },
  );
});

test('each step compares no more than a few thousand numbers', () => {
  let compared = 0;
  const numbers = Uint32Array.from({ length: 50_000 }, (_, i) => (i * 7919) % 50_000);
  const steps = sortInSteps(numbers, (a, b) => (compared++, a - b));
  let most = 0;
  for (let done: boolean | undefined = false; !done; compared = 0) {
    done = steps.next().done;
    most = Math.max(most, compared);
  }
  expect(most).toBeLessThan(4096 * 13);
  expect(numbers).toEqual(Uint32Array.from({ length: 50_000 }, (_, i) => i));
});
