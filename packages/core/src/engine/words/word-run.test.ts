import fc from 'fast-check';
import { holds, runsOf } from './word-run.js';

test('words are in as few runs as they make', () => {
  const numbers = fc.uniqueArray(fc.nat({ max: 20 })).map((all) => all.sort((a, b) => a - b));
  fc.assert(
    fc.property(numbers, (all) => {
      const runs = runsOf(all);
      expect([...Array(25).keys()].filter((word) => holds(runs, word))).toEqual(all);
      expect(runs).toHaveLength(all.filter((word) => !all.includes(word + 1)).length);
    }),
  );
});
