import { wordsOf, type Bits } from '../index/bits.js';
import { makeKernel, type Kernel } from './kernel.js';

/** Bytes a post for what an answer works with. What is never touched takes no memory. */
const scratchBytes = 16;
/** An index wants at most so much; what is beyond is kept in plain memory, and worked through in plain code. */
const mostBytes = 1 << 30;
/** All places are multiples of this, so that the kernel's steps never run over an end. */
const step = 64;

const stepsOver = (bytes: number) => Math.ceil(bytes / step) * step;

/**
 * One run of memory for one index. What is kept in it stays for good, and lies where the kernel works on it, if there is
 * a kernel. The rest is scratch: taken during an answer, and worth nothing after it; an answer takes dozens of small
 * arrays, and to make each anew costs more than to fill it. Whatever finds no room is put elsewhere by whoever asked.
 */
export class Arena {
  readonly #kernel: Kernel | null;
  readonly buffer: ArrayBuffer;
  /** Sets from elsewhere that were copied here, by themselves. */
  readonly #copies = new Map<Bits, Bits>();
  /** Bytes kept, and where scratch begins, goes up to now, went up to at most, and ends. */
  #kept = 0;
  readonly #start: number;
  #taken: number;
  #touched: number;
  readonly #end: number;
  #open = 0;

  /**
   * @param size   posts of the index
   * @param bytes  room for what is to be kept
   */
  constructor(
    readonly size: number,
    bytes: number,
  ) {
    this.#start = stepsOver(Math.min(bytes, mostBytes));
    this.#end = this.#start + stepsOver(size * scratchBytes + 65_536);
    const made = makeKernel(this.#end);
    this.#kernel = made?.kernel ?? null;
    // without a kernel nothing gains by being kept here
    if (!made) this.#end -= this.#start;
    if (!made) this.#start = 0;
    this.buffer = made?.buffer ?? new ArrayBuffer(this.#end);
    this.#taken = this.#touched = this.#start;
  }

  /** Bytes that were ever written to. */
  get bytes(): number {
    return this.#kept + this.#touched - this.#start;
  }

  /** Zeroed words that stay; null when there is no room left. */
  keep(words: number): Int32Array | null {
    const start = this.#kept;
    const end = start + stepsOver(words * 4);
    if (end > this.#start) return null;
    this.#kept = end;
    return new Int32Array(this.buffer, start, words);
  }

  /** Runs `work`, during which scratch may be taken. */
  during<T>(work: () => T): T {
    const before = this.#taken;
    this.#open++;
    try {
      return work();
    } finally {
      this.#open--;
      this.#taken = before;
      // a copy may lie in what was just given back
      this.#copies.clear();
    }
  }

  /** Scratch with anything in it; null outside `during` and when none is left. */
  take(words: number): Int32Array | null {
    const start = this.#taken;
    const end = start + stepsOver(words * 4);
    if (this.#open === 0 || end > this.#end) return null;
    this.#taken = end;
    if (end > this.#touched) this.#touched = end;
    return new Int32Array(this.buffer, start, words);
  }

  /** Scratch for numbers, with anything in it; new memory where there is none. */
  static numbers(arena: Arena | null, count: number): Uint32Array {
    const words = arena?.take(count);
    return words ? new Uint32Array(words.buffer, words.byteOffset, count) : new Uint32Array(count);
  }

  /** Scratch for counts, all zero. */
  static zeros(arena: Arena | null, count: number): Uint32Array {
    const words = arena?.take(count);
    if (!words) return new Uint32Array(count);
    return new Uint32Array(words.buffer, words.byteOffset, count).fill(0);
  }

  /** The first of the numbers that were taken last, when the others turned out not to be needed. */
  static first(arena: Arena | null, numbers: Uint32Array, count: number): Uint32Array {
    if (arena && numbers.buffer === arena.buffer) arena.#taken = stepsOver(numbers.byteOffset + count * 4);
    return numbers.subarray(0, count);
  }

  owns(bits: Bits): boolean {
    return bits.buffer === this.buffer;
  }

  /** A set of one's own to change. */
  copy(bits: Bits): Bits | null {
    const copy = this.take(bits.length);
    copy?.set(bits);
    return copy;
  }

  /** What two sets share, as scratch; null where there is no kernel or no room. */
  and(a: Bits, b: Bits): { bits: Bits; count: number } | null {
    return this.#kernel && this.#join(a, b, this.#kernel.and);
  }

  /** What is in `a` and not in `b`; otherwise as `and`. */
  without(a: Bits, b: Bits): { bits: Bits; count: number } | null {
    return this.#kernel && this.#join(a, b, this.#kernel.without);
  }

  /** What is in either; otherwise as `and`. */
  or(a: Bits, b: Bits): { bits: Bits; count: number } | null {
    return this.#kernel && this.#join(a, b, this.#kernel.or);
  }

  #join(a: Bits, b: Bits, join: Kernel['and']): { bits: Bits; count: number } | null {
    const [x, y] = [this.#placeOf(a), this.#placeOf(b)];
    const bits = x < 0 || y < 0 ? null : this.take(a.length);
    return bits && { bits, count: join(x, y, bits.byteOffset, bits.byteLength) };
  }

  /**
   * How many posts a set shares with each of some sets that are kept in a row.
   * @param sets  all of them, one after the other
   * @returns scratch; null where there is no kernel or no room
   */
  shared(set: Bits, sets: Int32Array): Int32Array | null {
    const place = this.#placeOf(set);
    const counts = place < 0 || sets.buffer !== this.buffer ? null : this.take(sets.length / wordsOf(this.size));
    if (!counts || !this.#kernel) return null;
    const end = sets.byteOffset + sets.byteLength;
    this.#kernel.shared(place, sets.byteOffset, end, wordsOf(this.size) * 4, counts.byteOffset);
    return counts;
  }

  /**
   * How many posts of each of some lists, kept in a row, are in a set.
   * @param ends  where each list ends, as an address in this memory
   * @returns as `shared`
   */
  listed(set: Bits, lists: Int32Array, ends: Int32Array): Int32Array | null {
    const place = this.#placeOf(set);
    const counts = place < 0 || lists.buffer !== this.buffer ? null : this.take(ends.length);
    if (!counts || !this.#kernel) return null;
    const last = ends.byteOffset + ends.byteLength;
    this.#kernel.listed(lists.byteOffset, ends.byteOffset, last, place, counts.byteOffset);
    return counts;
  }

  /** Where a set lies; one that lies elsewhere is copied here. -1 where there is no room. */
  #placeOf(bits: Bits): number {
    if (this.owns(bits)) return bits.byteOffset;
    let copy = this.#copies.get(bits);
    if (!copy) {
      const made = this.copy(bits);
      if (!made) return -1;
      this.#copies.set(bits, (copy = made));
    }
    return copy.byteOffset;
  }
}
