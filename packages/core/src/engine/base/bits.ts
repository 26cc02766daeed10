/**
 * A set of posts, one bit a post, in 32-bit words: signed ones, since the engine then counts in whole machine words.
 * Bits past the last post are always 0, so that counts and complements need no special end; there are sixteen words
 * of a kind, so that wide steps need none either. A set that was handed out is never changed.
 */
export type Bits = Int32Array;

/** Words of a set over so many posts. */
export function wordsOf(size: number): number {
  return ((size + 511) >>> 9) << 4;
}

export function emptyBits(size: number): Bits {
  return new Int32Array(wordsOf(size));
}

export function fullBits(size: number): Bits {
  return spanBits(size, 0, size);
}

/** The posts from `start` up to `end`, the latter left out. */
export function spanBits(size: number, start: number, end: number): Bits {
  return fillSpan(emptyBits(size), start, end);
}

/** Puts the posts from `start` up to `end` into a set that has none. */
export function fillSpan(bits: Bits, start: number, end: number): Bits {
  if (start >= end) return bits;
  const first = start >>> 5;
  const last = (end - 1) >>> 5;
  bits.fill(0xffffffff, first, last + 1);
  bits[first]! &= 0xffffffff << (start & 31);
  bits[last]! &= 0xffffffff >>> (31 - ((end - 1) & 31));
  return bits;
}

/** A set of the posts in a list. */
export function bitsOf(size: number, posts: ArrayLike<number>): Bits {
  const bits = emptyBits(size);
  for (let i = 0; i < posts.length; i++) setBit(bits, posts[i]!);
  return bits;
}

export function setBit(bits: Bits, post: number): void {
  bits[post >>> 5]! |= 1 << (post & 31);
}

export function clearBit(bits: Bits, post: number): void {
  bits[post >>> 5]! &= ~(1 << (post & 31));
}

export function hasBit(bits: Bits, post: number): boolean {
  return ((bits[post >>> 5]! >>> (post & 31)) & 1) === 1;
}

export function andBits(a: Bits, b: Bits): Bits {
  const result = new Int32Array(a.length);
  for (let w = 0; w < a.length; w++) result[w] = a[w]! & b[w]!;
  return result;
}

export function orInto(target: Bits, other: Bits): void {
  for (let w = 0; w < target.length; w++) target[w]! |= other[w]!;
}

/** Posts in `a` that are not in `b`. */
export function withoutBits(a: Bits, b: Bits): Bits {
  const result = new Int32Array(a.length);
  for (let w = 0; w < a.length; w++) result[w] = a[w]! & ~b[w]!;
  return result;
}

/** The ones in a word: neighbours are added, then pairs, then fours … all at once. `| 0` keeps it whole numbers. */
function onesOf(word: number): number {
  let v = (word - ((word >>> 1) & 0x55555555)) | 0;
  v = ((v & 0x33333333) + ((v >>> 2) & 0x33333333)) | 0;
  return Math.imul((v + (v >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** How many posts are in a set. */
export function countBits(bits: Bits): number {
  let count = 0;
  for (let w = 0; w < bits.length; w++) {
    count = (count + onesOf(bits[w]!)) | 0;
  }
  return count;
}

/** How many posts two sets share, without making the shared set. */
export function countShared(a: Bits, b: Bits): number {
  let count = 0;
  for (let w = 0; w < a.length; w++) {
    count = (count + onesOf(a[w]! & b[w]!)) | 0;
  }
  return count;
}

/** The posts of a set as a list, ascending. */
export function listBits(bits: Bits): Uint32Array {
  const list = new Uint32Array(countBits(bits));
  let at = 0;
  for (let w = 0; w < bits.length; w++) {
    let v = bits[w]!;
    const base = w << 5;
    while (v !== 0) {
      const low = v & -v;
      list[at++] = base + 31 - Math.clz32(low);
      v ^= low;
    }
  }
  return list;
}

/** Calls `visit` for each post in a set, ascending, until it returns false. For short walks; loops want `listBits`. */
export function eachBit(bits: Bits, visit: (post: number) => boolean | void): void {
  for (let w = 0; w < bits.length; w++) {
    let v = bits[w]!;
    while (v !== 0) {
      const low = v & -v;
      if (visit((w << 5) + 31 - Math.clz32(low)) === false) return;
      v ^= low;
    }
  }
}

/** How many posts of a set are from `start` up to `end`, the latter left out. */
export function countRun(bits: Bits, start: number, end: number): number {
  if (start >= end) return 0;
  const first = start >>> 5;
  const last = (end - 1) >>> 5;
  let count = 0;
  for (let w = first; w <= last; w++) {
    let v = bits[w]!;
    if (w === first) v &= 0xffffffff << (start & 31);
    if (w === last) v &= 0xffffffff >>> (31 - ((end - 1) & 31));
    count += onesOf(v);
  }
  return count;
}

/**
 * Puts posts of one set into another that is empty, under other numbers.
 * @param runs  posts in a row, two numbers each: the first one's number in `from`, and how many they are; below zero for
 *   as many that come from elsewhere
 */
export function moveBits(from: Bits, to: Bits, runs: Int32Array): void {
  for (let r = 0, p = 0; r < runs.length; r += 2) {
    const count = runs[r + 1]!;
    if (runs[r]! >= 0) moveRun(from, runs[r]!, to, p, count);
    p += count;
  }
}

function moveRun(from: Bits, source: number, to: Bits, target: number, left: number): void {
  while (left > 0) {
    // up to the end of a word that is written
    const many = Math.min(left, 32 - (target & 31));
    const shift = source & 31;
    let word = from[source >>> 5]! >>> shift;
    if (shift + many > 32) word |= from[(source >>> 5) + 1]! << (32 - shift);
    to[target >>> 5]! |= (word & (0xffffffff >>> (32 - many))) << (target & 31);
    source += many;
    target += many;
    left -= many;
  }
}

/** The first post of a set; -1 of none. */
export function firstBit(bits: Bits): number {
  for (let w = 0; w < bits.length; w++) if (bits[w] !== 0) return (w << 5) + 31 - Math.clz32(bits[w]! & -bits[w]!);
  return -1;
}

/** The last post of a set below `end`; -1 of none. */
export function lastBitBefore(bits: Bits, end: number): number {
  if (end <= 0) return -1;
  for (let w = (end - 1) >>> 5; w >= 0; w--) {
    const v = w === (end - 1) >>> 5 ? bits[w]! & (0xffffffff >>> (31 - ((end - 1) & 31))) : bits[w]!;
    if (v !== 0) return (w << 5) + 31 - Math.clz32(v);
  }
  return -1;
}
