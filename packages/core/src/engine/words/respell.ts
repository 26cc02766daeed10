import { wordsByEnd } from './words-by-end.js';

/**
 * The words of a vocabulary nearest to a misspelt one: within edit distance 1 for four letters or more, 2 for eight
 * or more, and of those only the nearest.
 *
 * The vocabulary is walked as the trie that its order makes of it, with one row of Levenshtein's table a letter, and a
 * branch is left as soon as its row is beyond what is allowed (Shang and Merrettal, 1996). To keep the walks short, the
 * word is cut into one part more than there may be edits, so that one part at least has none: either the first, or the
 * last, for which the words are walked from their ends, or one between them, and then the first and the last have one
 * edit each. Each walk lets no more edits through in the parts that come first than that.
 * @param vocabulary  ascending by code units
 * @returns word numbers, ascending; empty when there is none near enough
 */
export function respell(word: string, vocabulary: readonly string[]): number[] {
  const letters = Array.from(word, (letter) => letter.codePointAt(0)!);
  const allowed = letters.length >= 8 ? 2 : letters.length >= 4 ? 1 : 0;
  if (allowed === 0) return [];
  const distances = new Map<number, number>();
  const part = Math.ceil(letters.length / (allowed + 1));
  const [ahead, back] = [forwards(vocabulary), backwards(vocabulary)];
  const backward = [...letters].reverse();
  walk(ahead, letters, mostEdits(letters.length, allowed, part, 0), distances);
  const last = allowed === 1 ? letters.length - part : part;
  walk(back, backward, mostEdits(letters.length, allowed, last, 0), distances);
  if (allowed === 2) walk(ahead, letters, mostEdits(letters.length, allowed, letters.length - last, 1), distances);
  let least = allowed;
  for (const distance of distances.values()) least = Math.min(least, distance);
  return [...distances].flatMap(([w, distance]) => (distance === least ? [w] : [])).sort((a, b) => a - b);
}

/** A sorted vocabulary, to be read letter by letter from one end. */
interface Reading {
  size: number;
  /** The number of the word at a place. */
  wordAt(place: number): number;
  /** The UTF-16 unit at a depth of the word at a place; -1 where the word is over. */
  unitAt(place: number, depth: number): number;
  /** Where words stop to have the same unit, by place and depth, near the top of the trie, where all walks come by. */
  ends: Map<number, number>;
}

/** Depths above which the ends of runs are remembered, and how many at most. */
const remembered = 3;
const mostEnds = 50_000;

const endsOf = new WeakMap<readonly string[], { ahead: Map<number, number>; back: Map<number, number> }>();

function knownEnds(vocabulary: readonly string[]): { ahead: Map<number, number>; back: Map<number, number> } {
  let known = endsOf.get(vocabulary);
  if (!known) endsOf.set(vocabulary, (known = { ahead: new Map(), back: new Map() }));
  return known;
}

function forwards(vocabulary: readonly string[]): Reading {
  return {
    size: vocabulary.length,
    ends: knownEnds(vocabulary).ahead,
    wordAt: (place) => place,
    unitAt: (place, depth) => {
      const word = vocabulary[place]!;
      return depth < word.length ? word.charCodeAt(depth) : -1;
    },
  };
}

function backwards(vocabulary: readonly string[]): Reading {
  const order = wordsByEnd(vocabulary);
  return {
    size: vocabulary.length,
    ends: knownEnds(vocabulary).back,
    wordAt: (place) => order[place]!,
    unitAt: (place, depth) => {
      const word = vocabulary[order[place]!]!;
      return depth < word.length ? word.charCodeAt(word.length - 1 - depth) : -1;
    },
  };
}

/** By letters of the word that are read: how many edits may have been needed so far. */
function mostEdits(letters: number, allowed: number, first: number, inFirst: number): number[] {
  return Array.from({ length: letters + 1 }, (_, i) => (i < first ? inFirst : allowed));
}

/** More edits than are ever allowed, and few enough to be added to in a byte. */
const beyond = 99;

/** Notes the words that need no more edits anywhere than they may, each with the least distance seen. */
function walk(
  reading: Reading,
  letters: readonly number[],
  within: readonly number[],
  distances: Map<number, number>,
): void {
  const width = letters.length + 1;
  const allowed = within[letters.length]!;
  // a row of the table for each letter on the way down; no word on the way is longer than this
  const rows = new Uint8Array(width * (letters.length + allowed + 2));
  for (let i = 0; i < width; i++) rows[i] = i <= within[i]! ? i : beyond;

  /**
   * @param depth  in units
   * @param row    where the row of the letters read so far begins
   * @param held   the first unit met of a letter of two, else -1
   */
  const visit = (from: number, to: number, depth: number, row: number, held: number): void => {
    let place = from;
    if (held < 0 && reading.unitAt(place, depth) < 0) {
      const distance = rows[row + letters.length]!;
      const w = reading.wordAt(place);
      if (distance <= allowed) distances.set(w, Math.min(distance, distances.get(w) ?? beyond));
      place++;
    }
    while (place < to) {
      const unit = reading.unitAt(place, depth);
      const end = endOfRun(reading, place, to, depth, unit);
      if (held < 0 && isSurrogate(unit)) visit(place, end, depth + 1, row, unit);
      else {
        const letter = held < 0 ? unit : pair(held, unit);
        if (addRow(rows, row, letters, within, letter)) visit(place, end, depth + 1, row + width, -1);
      }
      place = end;
    }
  };
  if (reading.size > 0) visit(0, reading.size, 0, 0, -1);
}

/**
 * Writes the row of Levenshtein's table that comes under another, for one letter more.
 * @returns whether any of it is still within what is allowed
 */
function addRow(
  rows: Uint8Array,
  row: number,
  letters: readonly number[],
  within: readonly number[],
  letter: number,
): boolean {
  const width = letters.length + 1;
  const next = row + width;
  let isWithin = false;
  let left = beyond;
  for (let i = 0; i < width; i++) {
    let least = Math.min(rows[row + i]!, left) + 1;
    if (i > 0) least = Math.min(least, rows[row + i - 1]! + (letters[i - 1] === letter ? 0 : 1));
    left = least <= within[i]! ? least : beyond;
    rows[next + i] = left;
    isWithin ||= left !== beyond;
  }
  return isWithin;
}

/** Where words stop to have a unit at a depth: those of one beginning stand together, by what comes next. */
function endOfRun(reading: Reading, from: number, to: number, depth: number, unit: number): number {
  if (depth >= remembered || reading.ends.size > mostEnds) return findEnd(reading, from, to, depth, unit);
  const name = from * remembered + depth;
  let end = reading.ends.get(name);
  if (end === undefined) reading.ends.set(name, (end = findEnd(reading, from, to, depth, unit)));
  return end;
}

function findEnd(reading: Reading, from: number, to: number, depth: number, unit: number): number {
  let step = 1;
  while (from + step < to && reading.unitAt(from + step, depth) === unit) step *= 2;
  let [low, high] = [from + (step >> 1), Math.min(from + step, to)];
  while (low + 1 < high) {
    const middle = (low + high) >>> 1;
    if (reading.unitAt(middle, depth) === unit) low = middle;
    else high = middle;
  }
  return high;
}

function isSurrogate(unit: number): boolean {
  return unit >= 0xd800 && unit <= 0xdfff;
}

/** The code point of a letter of two units, met in either order. */
function pair(a: number, b: number): number {
  const [high, low] = a < 0xdc00 ? [a, b] : [b, a];
  return (high - 0xd800) * 0x400 + (low - 0xdc00) + 0x10000;
}

/**
 * Levenshtein's distance, by the row-at-a-time method of Wagner and Fischer, given up as soon as a whole row is
 * beyond what is allowed.
 * @returns the distance, or `most + 1` when it is more than `most`
 */
export function editDistance(a: readonly string[], b: readonly string[], most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const swap = row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1);
      next.push(Math.min(swap, row[j]! + 1, next[j - 1]! + 1));
      least = Math.min(least, next[j]!);
    }
    if (least > most) return most + 1;
    row = next;
  }
  return Math.min(row[b.length]!, most + 1);
}
