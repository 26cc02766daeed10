/**
 * A set of posts, one bit a post, in 32-bit words. Bits past the last post are always 0, so that counts and
 * complements need no special end.
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

/** Calls `visit` for each post in a set, ascending, until it returns false. */
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
