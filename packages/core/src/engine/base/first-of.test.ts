import fc from 'fast-check';
import { firstOf } from './first-of.js';

test('the first of an order are the first of it sorted', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 9 })), fc.nat(12), (values, first) => {
      const compare = (a: number, b: number) => values[a]! - values[b]! || a - b;
      const sorted = values
        .map((_, i) => i)
        .sort(compare)
        .slice(0, first);
      expect(firstOf(values.length, first, compare)).toEqual(sorted);
    }),
  );
});
