import fc from 'fast-check';
import { putAmong } from './put-among.js';
import { finished } from './steps.js';

test('few numbers put among many are all of them sorted', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(3000)), fc.nat(), (numbers, seed) => {
      const isFew = (number: number) => (number * 31 + seed) % 4 === 0;
      const ascending = (a: number, b: number) => a - b;
      const many = Uint32Array.from(numbers.filter((one) => !isFew(one)).sort(ascending));
      const few = numbers.filter(isFew).sort(ascending);
      const all = finished(putAmong(many, few, (one, other) => one < other));
      expect([...all]).toEqual([...numbers].sort(ascending));
    }),
  );
});

test('many that are put in stop on the way', () => {
  const few = Uint32Array.from({ length: 1000 }, (_, i) => 2 * i);
  const steps = putAmong(
    few.map((one) => one + 1),
    few,
    (one, other) => one < other,
  );
  let stops = 0;
  while (!steps.next().done) stops++;
  expect(stops).toBeGreaterThan(3);
});
