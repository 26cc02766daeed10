import { wordsOf } from './words.js';

/** One thing a search asks for: a word, or several in a row; wanted, or not wanted. */
export interface Wanted {
  words: string[];
  /** In quotation marks: whole words, one after the other. */
  phrase: boolean;
  excluded: boolean;
}

/**
 * Reads what a visitor typed: words, `"quoted words"`, `-word` and `-"quoted words"`. A quote that is never closed
 * runs to the end. Text that is cut into several words by its script or a hyphen asks for each of them.
 */
export function readWanted(text: string): Wanted[] {
  const wanted: Wanted[] = [];
  for (const match of text.matchAll(/(?<=^|\s)(-?)"([^"]*)"?|(-?)(\S+)/gu)) {
    const [, phraseMinus, phrase, wordMinus, word] = match;
    if (phrase !== undefined) {
      const words = wordsOf(phrase).map((one) => one.word);
      if (words.length > 0) wanted.push({ words, phrase: true, excluded: phraseMinus === '-' });
    } else {
      for (const one of wordsOf(word!)) wanted.push({ words: [one.word], phrase: false, excluded: wordMinus === '-' });
    }
  }
  return wanted;
}

/** A search as it is kept in an address: trimmed, single spaces. */
export function cleanSearch(text: string): string {
  return text.trim().replace(/\s+/gu, ' ');
}
