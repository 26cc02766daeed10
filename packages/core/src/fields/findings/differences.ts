import { fold } from '../../text/slug.js';

/** A piece of a text, and whether it is what makes it another than the usual one. */
export interface Piece {
  text: string;
  isOdd: boolean;
}

/** What two spellings differ by. */
export interface Difference {
  pieces: Piece[];
  /** In a few words; empty where they are the same. */
  words: string;
}

/** Characters of texts that are compared: longer ones are taken for wholly different. */
const mostCompared = 200;

/** What makes a text another than the usual one, character by character. */
export function differenceOf(usual: string, other: string): Difference {
  if (usual === other) return { pieces: [{ text: other, isOdd: false }], words: '' };
  return { pieces: piecesOf(usual, other), words: wordsOf(usual, other) };
}

/** The characters of the other that are not in the longest common subsequence of both, in one piece where they stand together. */
function piecesOf(usual: string, other: string): Piece[] {
  const [a, b] = [[...usual], [...other]];
  if (a.length > mostCompared || b.length > mostCompared) return [{ text: other, isOdd: true }];
  const common = commonLengths(a, b);
  const pieces: Piece[] = [];
  const add = (text: string, isOdd: boolean) => {
    const last = pieces.at(-1);
    if (last?.isOdd === isOdd) last.text += text;
    else pieces.push({ text, isOdd });
  };
  let [i, j] = [0, 0];
  while (j < b.length) {
    if (i < a.length && a[i] === b[j]) {
      add(b[j]!, false);
      i++;
      j++;
    } else if (i < a.length && common[i + 1]![j]! >= common[i]![j + 1]!) i++;
    else add(b[j++]!, true);
  }
  return pieces;
}

/** By places in two texts: how long what they have in common from there on is at most (longest common subsequence). */
function commonLengths(a: readonly string[], b: readonly string[]): number[][] {
  const lengths = Array.from({ length: a.length + 1 }, () => new Array<number>(b.length + 1).fill(0));
  for (let i = a.length - 1; i >= 0; i--) {
    for (let j = b.length - 1; j >= 0; j--) {
      lengths[i]![j] = a[i] === b[j] ? lengths[i + 1]![j + 1]! + 1 : Math.max(lengths[i + 1]![j]!, lengths[i]![j + 1]!);
    }
  }
  return lengths;
}

/** What stands between the words of a term. */
const between = /[\s\p{Pd}_]+/gu;
const marks = /[^\p{L}\p{N}\s\p{Pd}_]+/gu;

/** Each way to write one thing otherwise, undone in turn: what it takes to make the two the same. */
function wordsOf(usual: string, other: string): string {
  const found: string[] = [];
  let [a, b] = [usual, other];
  const undo = (change: (text: string) => string, words: (a: string, b: string) => string) => {
    const [c, d] = [change(a), change(b)];
    // only what brings them nearer is told
    if (a === b || (a === c && b === d) || isNoNearer(a, b, c, d)) return;
    found.push(words(a, b));
    [a, b] = [c, d];
  };
  undo(
    (text) => text.toLowerCase(),
    (x, y) => (capitals(y) > capitals(x) ? 'other capitals' : 'small letters'),
  );
  undo(fold, (x, y) => (accents(y) > accents(x) ? 'an accent more' : 'an accent less'));
  undo((text) => text.replace(between, ''), partingWords);
  undo(
    (text) => text.replace(marks, ''),
    () => 'other marks',
  );
  if (a !== b) found.push(lettersBetween(a, b));
  return found.join(', ');
}

/** How the words of one are parted otherwise than those of the other. */
function partingWords(usual: string, other: string): string {
  const [a, b] = [usual, other].map((text) => /[\p{Pd}_]/u.test(text));
  if (a !== b) return b ? 'a hyphen' : 'no hyphen';
  return other.split(/\s+/u).length > usual.split(/\s+/u).length ? 'two words' : 'one word';
}

/** Whether a change made two texts no more alike than they were. */
function isNoNearer(a: string, b: string, c: string, d: string): boolean {
  return c !== d && unlike(c, d) >= unlike(a, b);
}

/** How many characters of two texts differ, place by place, and by how many one is longer. */
function unlike(a: string, b: string): number {
  let count = Math.abs(a.length - b.length);
  for (let i = 0; i < Math.min(a.length, b.length); i++) if (a[i] !== b[i]) count++;
  return count;
}

const capitals = (text: string) => [...text].filter((one) => one !== one.toLowerCase()).length;
const accents = (text: string) => text.normalize('NFD').replace(/[^\p{M}]/gu, '').length;

function lettersBetween(a: string, b: string): string {
  if (b === `${a}s` || a === `${b}s`) return b.length > a.length ? 'an s at the end' : 'no s at the end';
  if (b.length > a.length) return b.length === a.length + 1 ? 'a letter more' : 'more letters';
  if (b.length < a.length) return b.length === a.length - 1 ? 'a letter less' : 'fewer letters';
  return unlike(a, b) === 2 && [...a].sort().join('') === [...b].sort().join('')
    ? 'two letters changed places'
    : 'another letter';
}

/** Why a text is no day: the piece that is wrong, and what about it in a few words. */
export function noDay(text: string): Difference {
  const t = text.trim();
  const m = /^(\d{1,4})([-/.])(\d{1,2})([-/.])(\d{1,4})$/.exec(t);
  if (m) {
    const [at, words] = wrongPart(m[1]!, m[3]!, m[5]!);
    const parts = m.slice(1).map((part, i) => ({ text: part, isOdd: i === at * 2 }));
    return { pieces: joined(parts), words };
  }
  if (/\d[oOlI|]|[oOlI|]\d/.test(t)) {
    const parts = t.split(/([oOlI|]+)/).map((part, i) => ({ text: part, isOdd: i % 2 === 1 }));
    return { pieces: joined(parts.filter((part) => part.text !== '')), words: 'a letter for a figure' };
  }
  const words = !/\d/.test(t) ? 'words alone' : /\d{4}/.test(t) ? 'a part is missing' : 'no year';
  return { pieces: [{ text: t, isOdd: false }], words };
}

/** Which of three figures makes them no day, and why. */
function wrongPart(a: string, b: string, c: string): [part: 0 | 1 | 2, words: string] {
  const [first, second, third] = [Number(a), Number(b), Number(c)];
  const nought = [first, second, third].indexOf(0) as -1 | 0 | 1 | 2;
  if (nought >= 0) return [nought as 0 | 1 | 2, 'a part is nought'];
  if (a.length === 4) return second > 12 ? [1, 'no such month'] : [2, 'no such day'];
  if (c.length < 4) return [2, 'the year is cut short'];
  if (first > 12 && second > 12) return [1, 'no such month'];
  return second > 12 ? [1, 'the other way round'] : [0, 'no such day'];
}

/** Pieces that stand together and are alike, as one. */
function joined(pieces: readonly Piece[]): Piece[] {
  const all: Piece[] = [];
  for (const piece of pieces) {
    const last = all.at(-1);
    if (last?.isOdd === piece.isOdd) last.text += piece.text;
    else all.push({ ...piece });
  }
  return all;
}
