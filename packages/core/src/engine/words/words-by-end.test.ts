import fc from 'fast-check';
import { finished } from '../base/steps.js';
import { carryWordsByEnd, wordsByEnd } from './words-by-end.js';

const vocabulary = fc
  .uniqueArray(fc.stringMatching(/^[a-d]{1,4}$/), { maxLength: 60 })
  .map((words) => words.sort() as readonly string[]);

test('words stand as if each were written backwards', () => {
  fc.assert(
    fc.property(vocabulary, (words) => {
      const backwards = (word: string) => [...word].reverse().join('');
      const expected = [...words].sort((a, b) => (backwards(a) < backwards(b) ? -1 : 1));
      expect(Array.from(wordsByEnd(words), (w) => words[w])).toEqual(expected);
    }),
  );
});

test('an order that is taken over is the one that would be made', () => {
  fc.assert(
    fc.property(vocabulary, vocabulary, (before, after) => {
      wordsByEnd(before);
      const ofOld = Int32Array.from(before, (word) => after.indexOf(word));
      finished(carryWordsByEnd(before, after, ofOld));
      expect([...wordsByEnd(after)]).toEqual([...wordsByEnd([...after])]);
    }),
  );
});
