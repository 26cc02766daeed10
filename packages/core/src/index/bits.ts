/**
 * A set of posts, one bit a post, in 32-bit words. Bits past the last post are always 0, so that counts and
 * complements need no special end. A set that was handed out is never changed.
 */
export type Bits = Uint32Array;

export function emptyBits(size: number): Bits {
  return new Uint32Array((size + 31) >>> 5);
}

export function fullBits(size: number): Bits {
  const bits = emptyBits(size).fill(0xffffffff);
  const rest = size & 31;
  if (rest !== 0) bits[bits.length - 1] = 0xffffffff >>> (32 - rest);
  return bits;
}

/** The posts from `start` up to `end`, the latter left out. */
export function spanBits(size: number, start: number, end: number): Bits {
  const bits = emptyBits(size);
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
  const result = new Uint32Array(a.length);
  for (let w = 0; w < a.length; w++) result[w] = a[w]! & b[w]!;
  return result;
}

export function orInto(target: Bits, other: Bits): void {
  for (let w = 0; w < target.length; w++) target[w]! |= other[w]!;
}

/** Posts in `a` that are not in `b`. */
export function withoutBits(a: Bits, b: Bits): Bits {
  const result = new Uint32Array(a.length);
  for (let w = 0; w < a.length; w++) result[w] = a[w]! & ~b[w]!;
  return result;
}

/** How many posts are in a set. Counts a word's bits by adding neighbours, pairs, fours … in parallel. */
export function countBits(bits: Bits): number {
  let count = 0;
  for (let w = 0; w < bits.length; w++) {
    let v = bits[w]!;
    if (v === 0) continue;
    v -= (v >>> 1) & 0x55555555;
    v = (v & 0x33333333) + ((v >>> 2) & 0x33333333);
    count += Math.imul((v + (v >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
  }
  return count;
}

/** How many posts two sets share, without making the shared set. */
export function countShared(a: Bits, b: Bits): number {
  let count = 0;
  for (let w = 0; w < a.length; w++) {
    let v = a[w]! & b[w]!;
    if (v === 0) continue;
    v -= (v >>> 1) & 0x55555555;
    v = (v & 0x33333333) + ((v >>> 2) & 0x33333333);
    count += Math.imul((v + (v >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
  }
  return count;
}

/**
 * The posts of a set as a list, ascending.
 * @param count  how many there are, when it is known already
 */
export function listBits(bits: Bits, count = countBits(bits)): Uint32Array {
  const list = new Uint32Array(count);
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
