import { wordsOf } from './words.js';

/** One thing a search asks for: a word, or several in a row; wanted, or not wanted. */
export interface Wanted {
  words: string[];
  /** In quotation marks: whole words, one after the other. */
  phrase: boolean;
  excluded: boolean;
}

/** Most words of a search that are looked for. One character may fold to a dozen words, so letters are no bound. */
export const maxWords = 32;

/**
 * Reads what a visitor typed: words, `"quoted words"`, `-word` and `-"quoted words"`. A quote that is never closed
 * runs to the end. Text that is cut into several words by its script or a hyphen asks for each of them. What is asked
 * for twice counts once, and after `maxWords` words nothing more is read.
 */
export function readWanted(text: string): Wanted[] {
  return readWords(text).wanted;
}

/** As `readWanted`, and whether there was more than is looked for. */
export function readWords(text: string): { wanted: Wanted[]; isCut: boolean } {
  const known = new Map<string, Wanted>();
  let left = maxWords;
  let isCut = false;
  const add = (one: Wanted) => {
    const name = `${Number(one.phrase)}${Number(one.excluded)}${one.words.join(' ')}`;
    if (known.has(name)) return;
    if (one.words.length > left) isCut = true;
    const words = one.words.slice(0, left);
    if (words.length === 0) return;
    left -= words.length;
    known.set(name, { ...one, words });
  };
  for (const match of text.matchAll(/(?<=^|\s)(-?)"([^"]*)"?|(-?)(\S+)/gu)) {
    const [, phraseMinus, phrase, wordMinus, word] = match;
    if (phrase !== undefined) {
      const words = wordsOf(phrase).map((one) => one.word);
      if (words.length > 0) add({ words, phrase: true, excluded: phraseMinus === '-' });
    } else {
      for (const one of wordsOf(word!)) add({ words: [one.word], phrase: false, excluded: wordMinus === '-' });
    }
  }
  return { wanted: [...known.values()], isCut };
}

/** A search as it is kept in an address: trimmed, single spaces. */
export function cleanSearch(text: string): string {
  return text.trim().replace(/\s+/gu, ' ');
}
