import { searchOf, textIndexOf, type Searched } from './finding.js';
import type { PostIndex } from '../../engine/index/post-index.js';
import { editDistance } from '../../engine/words/respell.js';
import type { Met } from '../../engine/words/search.js';
import { fieldEnd } from '../../engine/words/text-index.js';
import { holds } from '../../engine/words/word-run.js';

import { listed, type Miss, type Misses } from '../miss.js';

/** How posts stand to a search: measured in letters from their nearest word to the first they lack. */
export function searchMisses(index: PostIndex, facet: Searched, searched: string): Misses {
  const text = textIndexOf(index, facet);
  const { wanted } = searchOf(index, facet, searched);
  const word = (w: number) => text.vocabulary[w]!;
  const letters = new Map<Met, Map<number, number>>();

  /** How far a word of the index is from the first word of what is wanted. Posts share words: each is measured once. */
  const lettersTo = (one: Met, w: number): number => {
    let known = letters.get(one);
    if (!known) letters.set(one, (known = new Map<number, number>()));
    let by = known.get(w);
    if (by === undefined) known.set(w, (by = editDistance([...one.words[0]!], [...word(w)], 99)));
    return by;
  };
  const wordsOf = (post: number) => {
    const own = new Set(text.tokens.subarray(text.tokenStarts[post], text.tokenStarts[post + 1]));
    own.delete(fieldEnd);
    return [...own];
  };
  const nearestOf = (one: Met, own: readonly number[]): { by: number | null; nearest: string | null } => {
    let best: { by: number | null; nearest: string | null } = { by: null, nearest: null };
    for (const w of own) {
      const by = lettersTo(one, w);
      if (best.by === null || by < best.by || (by === best.by && word(w) < best.nearest!))
        best = { by, nearest: word(w) };
    }
    return best;
  };
  const meets = ({ met }: Met, own: readonly number[]) => met.every((runs) => own.some((w) => holds(runs, w)));
  const leftOut = (own: readonly number[]) => wanted.find((one) => one.excluded && meets(one, own));
  const missing = (own: readonly number[]) => wanted.filter((one) => !one.excluded && !meets(one, own));

  return {
    value: () => null,
    admit: () => null,
    by: (post) => {
      const own = wordsOf(post);
      const [first] = leftOut(own) ? [] : missing(own);
      return first ? nearestOf(first, own).by : 0;
    },
    passed: (post) => {
      const own = wordsOf(post);
      const hits = wanted
        .filter((one) => !one.excluded && meets(one, own))
        .flatMap(({ met }) => met.flatMap((runs) => own.filter((w) => holds(runs, w)).sort((a, b) => a - b)));
      const words = [...new Set(hits)].map((w) => `“${word(w)}”`);
      return words.length === 0 ? 'It has none of the words left out.' : `It has ${listed(words)}.`;
    },
    failed: (post) => {
      const own = wordsOf(post);
      const excluded = leftOut(own)?.words.join(' ');
      if (excluded !== undefined) {
        const miss: Miss = { by: 0, unit: 'letters', nearest: excluded };
        return { reason: `It has “${excluded}”, which is left out.`, miss };
      }
      const lacking = missing(own);
      const [first] = lacking;
      if (!first)
        return { reason: 'It has the words, but not in a row.', miss: { by: 0, unit: 'letters', nearest: null } };
      const names = lacking.map((one) => `“${one.words.join(' ')}”`);
      return {
        reason: `It does not have ${listed(names, 'or')}.`,
        miss: { ...nearestOf(first, own), unit: 'letters' },
      };
    },
  };
}
