import { fold } from '../../text/slug.js';

/** A word of a text: folded, and where it stood in the original, in UTF-16 units. */
export interface Word {
  word: string;
  start: number;
  end: number;
}

const run = /[\p{L}\p{N}\p{M}]+/gu;
/** In text of plain letters alone, the same runs, lower-cased; most of most texts is such, and needs no folding. */
const plainRun = /[a-z0-9]+/g;
/** Scripts written without spaces between words. */
const unspaced =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;

interface Segmenter {
  segment(text: string): Iterable<{ segment: string; index: number; isWordLike?: boolean | undefined }>;
}

const segmenter: Segmenter | null =
  typeof Intl.Segmenter === 'function' ? new Intl.Segmenter('und', { granularity: 'word' }) : null;

/**
 * Cuts a text into words: runs of letters, digits and marks, folded. A run with letters of a script that sets no
 * spaces is cut by `Intl.Segmenter`, or into pairs of characters where there is none.
 */
export function wordsOf(text: string): Word[] {
  const words: Word[] = [];
  if (isAscii(text)) {
    const lower = text.toLowerCase();
    plainRuns(lower, (start, end) => words.push({ word: lower.slice(start, end), start, end }));
    return words;
  }
  for (const match of text.matchAll(run)) {
    const at = match.index;
    if (!unspaced.test(match[0])) addFolded(words, match[0], at);
    else for (const piece of pieces(match[0])) addFolded(words, piece.text, at + piece.at);
  }
  return words;
}

/** The words of a text alone, as `wordsOf` cuts them. Plain letters, most of most texts, need no folding one by one. */
export function foldedWords(text: string): readonly string[] {
  if (!isAscii(text)) return wordsOf(text).map(({ word }) => word);
  return text.toLowerCase().match(plainRun) ?? [];
}

/** Whether a text is of plain ASCII. */
export function isAscii(text: string): boolean {
  for (let i = 0; i < text.length; i++) if (text.charCodeAt(i) > 0x7f) return false;
  return true;
}

/** Calls `visit` with where each run of a lower-case text of plain letters starts and ends. */
export function plainRuns(text: string, visit: (start: number, end: number) => void): void {
  for (let start = 0; start < text.length;) {
    let end = start;
    while (end < text.length && isPlain(text.charCodeAt(end))) end++;
    if (end > start) visit(start, end);
    start = end + 1;
  }
}

/** Whether a code unit is one of a–z or 0–9. */
function isPlain(unit: number): boolean {
  return (unit >= 0x61 && unit <= 0x7a) || (unit >= 0x30 && unit <= 0x39);
}

/** Folding may bring marks into a run that part it again (`½` is `1⁄2`): its words share the run's place. */
function addFolded(words: Word[], piece: string, start: number): void {
  for (const match of fold(piece).matchAll(run)) words.push({ word: match[0], start, end: start + piece.length });
}

function pieces(text: string): { text: string; at: number }[] {
  if (segmenter) {
    return [...segmenter.segment(text)].map(({ segment, index }) => ({ text: segment, at: index }));
  }
  const characters = [...text];
  if (characters.length < 2) return [{ text, at: 0 }];
  let at = 0;
  return characters.slice(1).map((character, i) => {
    const piece = { text: characters[i]! + character, at };
    at += characters[i]!.length;
    return piece;
  });
}
