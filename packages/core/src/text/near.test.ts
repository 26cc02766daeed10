import fc from 'fast-check';
import { editDistance, nearestWord } from './near.js';

test('the word that is meant is found: written otherwise, misspelt, or begun', () => {
  const words = ['mudflat', 'reedbed', 'saltmarsh', 'salt-pan', 'lagoon'];
  const meant = (word: string) => nearestWord(word, words);
  expect(['Mud flat', 'mudfat', 'redebed', 'saltm', 'lagoons', 'zzz', ''].map(meant)).toEqual([
    'mudflat',
    'mudflat',
    'reedbed',
    'saltmarsh',
    'lagoon',
    null,
    null,
  ]);
});

test('a distance is the same from both ends, nothing only between equals, and cut off where it is told to be', () => {
  const word = fc.string({ maxLength: 8, unit: fc.constantFrom('a', 'b', 'c') });
  fc.assert(
    fc.property(word, word, fc.nat(9), (a, b, most) => {
      const distance = editDistance(a, b, 99);
      expect(editDistance(b, a, 99)).toBe(distance);
      expect(distance === 0).toBe(a === b);
      expect(editDistance(a, b, most)).toBe(Math.min(distance, most));
      expect(distance).toBeLessThanOrEqual(Math.max(a.length, b.length));
    }),
  );
});
