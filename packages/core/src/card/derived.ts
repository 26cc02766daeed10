import type { ItemValue } from '../model/answer.js';

/** What answers carry of a post that no field has as it is needed: made from a longer text, which then stays where it is. */
export interface Derived {
  /** What it is called among the fields of an answer; no field of a source begins with `~`. */
  key: string;
  /** The field it is made from. */
  from: string;
  /** It is left out where a post has this field; empty for always there. */
  unless: string;
  make: (text: string) => ItemValue;
}

/** Words a minute that most read silently (Brysbaert 2019, rounded down for the screen). */
const wordsAMinute = 230;

/** What the minutes it takes to read a field are called in an answer. */
export const minutesKey = (from: string) => `~minutes/${from}`;

/** Minutes it takes to read a text, one at least. */
export function minutesOf(text: string): number {
  // in scripts without spaces two characters are about a word
  const spaced = text.match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}'’-]*/gu) ?? [];
  const words = spaced.reduce((sum, word) => sum + (unspaced.test(word) ? word.length / 2 : 1), 0);
  return Math.max(1, Math.round(words / wordsAMinute));
}

const unspaced =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;

/** What the beginning of a field is called in an answer. */
export const startKey = (from: string, characters: number) => `~start/${from}/${characters}`;

/** The beginning of a text: some more than is shown, so that whoever shows it can cut between words. */
export function beginningOf(text: string, characters: number): string {
  return text.slice(0, (characters || 1000) + 80);
}
