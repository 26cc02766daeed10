import fc from 'fast-check';
import { gatherMapOf } from './gather-map.js';
import { packTexts } from './text-packer.js';
import { compareTexts, pickTexts, textAt } from './texts.js';

/** Short and long, plain and not, and none. */
const text = fc.oneof(
  fc.string({ unit: 'binary-ascii', maxLength: 200 }),
  fc.string({ unit: 'grapheme', maxLength: 30 }),
  // as long as an article, so that a few are too long to be put together
  fc.nat({ max: 3000 }).map((length) => 'reed '.repeat(length / 5)),
  fc.constant(''),
);

test('texts come back as they were, also when they are more than was made room for', () => {
  fc.assert(
    fc.property(fc.array(text, { maxLength: 60 }), (texts) => {
      const packed = packTexts(texts.length, (i) => texts[i]);
      expect(texts.map((_, i) => textAt(packed, i))).toEqual(texts);
    }),
  );
});

test('half a letter becomes the sign for a letter that is lost', () => {
  expect(
    textAt(
      packTexts(1, () => 'a\ud83d'),
      0,
    ),
  ).toBe('a\ufffd');
});

test('texts are picked from two lists, in rows and one by one', () => {
  const texts = fc.array(text, { minLength: 1, maxLength: 30 });
  const at = fc.array(fc.tuple(fc.integer({ min: -30, max: 29 }), fc.nat({ max: 9 })), { maxLength: 12 });
  fc.assert(
    fc.property(texts, texts, at, (old, added, runs) => {
      const gatherMap = runs.flatMap(([start, more]) =>
        start < 0 ? [~(~start % added.length)] : [...old.keys()].slice(start % old.length, (start % old.length) + more),
      );
      const picked = pickTexts(
        packTexts(old.length, (i) => old[i]),
        packTexts(added.length, (i) => added[i]),
        gatherMapOf(Int32Array.from(gatherMap)),
      );
      expect(gatherMap.map((_, i) => textAt(picked, i))).toEqual(
        gatherMap.map((pick) => (pick < 0 ? added[~pick] : old[pick])),
      );
    }),
  );
});

test('texts fall in the order of strings, of all letters', () => {
  // first letters of one, two, three and four bytes, on both sides of those that strings write as two units
  const letter = fc.constantFrom('a', 'z', '\u00e9', '\ud7ff', '\ue000', '\uffee', '\u{10000}', '\u{10ffff}');
  const word = fc.oneof(fc.string({ unit: letter, maxLength: 4 }), fc.string({ unit: 'binary', maxLength: 20 }));
  fc.assert(
    fc.property(word, word, word, (start, a, b) => {
      const texts = [start + a, start + b];
      const packed = packTexts(2, (i) => texts[i]);
      const expected = texts[0]! < texts[1]! ? -1 : texts[0]! > texts[1]! ? 1 : 0;
      expect(Math.sign(compareTexts(packed, 0, packed, 1))).toBe(expected);
    }),
    { numRuns: 2000 },
  );
});
