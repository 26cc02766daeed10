import { finished } from '../base/steps.js';
import fc from 'fast-check';
import { gatherMapOf } from '../store/gather-map.js';
import { mergeTexts } from './merge-texts.js';
import { indexTexts } from './text-index.js';

const words = fc.array(fc.constantFrom('tern', 'terns', 'reed', 'otter', 'mud', 'á', 'zostera', 'eel'), {
  maxLength: 5,
});
const posts = fc.array(fc.tuple(words, words), { maxLength: 12 });
const indexOf = (texts: readonly (readonly [string[], string[]])[]) =>
  finished(
    indexTexts(texts.length, [
      { weight: 3, read: (p) => texts[p]![0].join(' ') },
      { weight: 1, read: (p) => texts[p]![1].join(' ') },
    ]),
  );

test.each([
  ['in the order they were in', true],
  ['in another order', false],
])('posts that stay %s, and those that are new, have the words they would have if all were cut', (_, inOrder) => {
  fc.assert(
    fc.property(posts, posts, fc.array(fc.integer({ min: 0, max: 1000 })), (old, added, at) => {
      // some stay, and the new ones stand somewhere between them
      const stay = old.map((__, i) => i).filter((i) => (at[i] ?? 1) % 3 > 0);
      if (!inOrder) stay.reverse();
      const gatherMap: number[] = [...stay];
      added.forEach((__, i) => gatherMap.splice((at[i] ?? 0) % (gatherMap.length + 1), 0, -1));
      let next = 0;
      const inNew = Int32Array.from(gatherMap, (pick) => (pick < 0 ? ~next++ : pick));
      const all = Array.from(inNew, (pick) => (pick < 0 ? added[~pick]! : old[pick]!));
      expect(finished(mergeTexts(indexOf(old), indexOf(added), gatherMapOf(inNew)))).toEqual(indexOf(all));
    }),
    { numRuns: 300 },
  );
});
