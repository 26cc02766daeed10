import fc from 'fast-check';
import { SlugFinder } from './slug-finder.js';

/** Beginnings of one another, letters of several scripts, halves of letters, nothing at all. */
const slug = fc.oneof(
  fc.constantFrom('', 'r', 're', 'reed', 'reedbed', 'reedbeds', 'red', 'öre', '東京', '𝒜', '\ud835'),
  fc.string({ unit: 'binary', maxLength: 5 }),
);
const numbered = fc
  .uniqueArray(slug, { maxLength: 30 })
  .map((slugs) => new Map(slugs.map((one, i) => [one, i] as const)));

test.each([
  ['a trie', undefined],
  ['a map, where a trie would take too many cells', 8],
])('a slug is found in %s, and no other', (_, cells) => {
  fc.assert(
    fc.property(numbered, fc.array(slug), (numbers, others) => {
      const finder = new SlugFinder(numbers, cells);
      for (const one of [...numbers.keys(), ...others]) expect(finder.find(one)).toBe(numbers.get(one) ?? -1);
    }),
    { numRuns: 400 },
  );
});

test('letters of more kinds than a byte tells apart are looked up in the map', () => {
  const many = new Map(Array.from({ length: 400 }, (_, i) => [String.fromCharCode(0x4e00 + i), i]));
  const finder = new SlugFinder(many);
  for (const [one, number] of many) expect(finder.find(one)).toBe(number);
  expect(finder.find('a')).toBe(-1);
});

test('slugs may have the numbers of others: old slugs do', () => {
  const finder = new SlugFinder(
    new Map([
      ['marsh', 0],
      ['fen', 1],
      ['fenland', 0],
    ]),
  );
  expect(['marsh', 'fen', 'fenland', 'fe', 'fenlands'].map((one) => finder.find(one))).toEqual([0, 1, 0, -1, -1]);
});
