import { wordsOf, type Bits } from '../base/bits.js';
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
  /** Where sets and lists from elsewhere lie here as copies. */
  readonly #copies = new Map<Bits | Uint32Array, number>();
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
    // the kernel looks at the word after a set when it asks what comes before that set's end
    const made = makeKernel(this.#end + step);
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

  /** Numbers as they are, here to stay; where there is no room or no kernel, where they are. */
  adopt<N extends Uint16Array | Uint32Array>(numbers: N): N {
    const words = numbers.buffer === this.buffer ? null : this.keep(Math.ceil(numbers.byteLength / 4));
    if (!words) return numbers;
    const kind = numbers.constructor as new (buffer: ArrayBufferLike, start: number, length: number) => N;
    const copy = new kind(this.buffer, words.byteOffset, numbers.length);
    copy.set(numbers);
    return copy;
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
      if (this.#copies.size > 0) this.#copies.clear();
    }
  }

  /** Scratch with anything in it; null outside `during` and when none is left. */
  take(words: number): Int32Array | null {
    const start = this.#reserve(words);
    return start < 0 ? null : new Int32Array(this.buffer, start, words);
  }

  /** Where scratch for so many words begins; -1 as `take` gives null. A view of it costs more than to find it. */
  #reserve(words: number): number {
    const start = this.#taken;
    const end = start + stepsOver(words * 4);
    if (this.#open === 0 || end > this.#end) return -1;
    this.#taken = end;
    if (end > this.#touched) this.#touched = end;
    return start;
  }

  /** Scratch for numbers, with anything in it; new memory where there is none. */
  static numbers(arena: Arena | null, count: number): Uint32Array {
    const start = arena ? arena.#reserve(count) : -1;
    return start < 0 ? new Uint32Array(count) : new Uint32Array(arena!.buffer, start, count);
  }

  /** Scratch for counts, all zero. */
  static zeros(arena: Arena | null, count: number): Uint32Array {
    // one more than is asked for: the kernel counts there what has no number
    const start = arena ? arena.#reserve(count + 1) : -1;
    return start < 0 ? new Uint32Array(count) : new Uint32Array(arena!.buffer, start, count).fill(0);
  }

  /** The first of the numbers that were taken last, when the others turned out not to be needed. */
  static first(arena: Arena | null, numbers: Uint32Array, count: number): Uint32Array {
    if (arena && numbers.buffer === arena.buffer) arena.#taken = stepsOver(numbers.byteOffset + count * 4);
    return numbers.subarray(0, count);
  }

  owns(bits: Bits | Uint32Array): boolean {
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

  /** What is in either of two sets; otherwise as `and`. */
  or(a: Bits, b: Bits): { bits: Bits; count: number } | null {
    return this.#kernel && this.#join(a, b, this.#kernel.or);
  }

  /** Puts what is in `other` into a scratch set too, and gives how many posts that is; -1 where it can't be done. */
  orInto(set: Bits, other: Bits): number {
    const place = this.#kernel && this.owns(set) ? this.#placeOf(other) : -1;
    return place < 0 ? -1 : this.#kernel!.or(set.byteOffset, place, set.byteOffset, set.byteLength);
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

  /** How many posts are in a set, which is joined with itself for it; -1 where there is no kernel or no room. */
  count(set: Bits): number {
    const place = this.#kernel ? this.#placeOf(set) : -1;
    return place < 0 ? -1 : this.#kernel!.and(place, place, place, set.byteLength);
  }

  /** The posts of a set, ascending, as scratch; null where there is no kernel or no room. */
  list(set: Bits, count: number): Uint32Array | null {
    const place = this.#kernel ? this.#placeOf(set) : -1;
    const list = place < 0 ? -1 : this.#reserve(count);
    if (list < 0) return null;
    this.#kernel!.list(place, set.byteLength, list);
    return new Uint32Array(this.buffer, list, count);
  }

  /** The posts of a list that are in a set, as scratch; null where there is no kernel or no room. */
  keepIn(list: Uint32Array, set: Bits): Uint32Array | null {
    return this.#kernel && this.#picked(list, set, this.#kernel.keep);
  }

  /** The places in a list of the posts that are in a set; otherwise as `keepIn`. */
  placesIn(list: Uint32Array, set: Bits): Uint32Array | null {
    return this.#kernel && this.#picked(list, set, this.#kernel.places);
  }

  #picked(list: Uint32Array, set: Bits, pick: Kernel['keep']): Uint32Array | null {
    const place = this.#placeOf(set);
    const posts = place < 0 ? -1 : this.#placeOf(list);
    const picked = posts < 0 ? -1 : this.#reserve(list.length);
    if (picked < 0) return null;
    const end = pick(posts, posts + list.length * 4, place, picked);
    this.#taken = stepsOver(end);
    return new Uint32Array(this.buffer, picked, (end - picked) / 4);
  }

  /** Puts the posts of a list into a scratch set; tells whether it could. */
  mark(set: Bits, list: Uint32Array): boolean {
    const posts = this.#kernel && this.owns(set) ? this.#placeOf(list) : -1;
    if (posts < 0) return false;
    this.#kernel!.mark(posts, posts + list.length * 4, set.byteOffset);
    return true;
  }

  /**
   * How many posts of a set come before each of some posts.
   * @param ends  ascending, at most as many as the index has posts
   * @returns scratch; null where there is no kernel or no room
   */
  before(set: Bits, ends: Uint32Array): Int32Array | null {
    const place = this.#kernel ? this.#placeOf(set) : -1;
    const here = place < 0 ? -1 : this.#placeOf(ends);
    const counts = here < 0 ? null : this.take(ends.length);
    if (!counts) return null;
    this.#kernel!.before(place, here, here + ends.length * 4, counts.byteOffset);
    return counts;
  }

  /** Where numbers of 16 bits begin in this memory; -1 where they lie elsewhere or are others. */
  placed(numbers: Uint16Array | Uint32Array): number {
    return numbers instanceof Uint16Array && numbers.buffer === this.buffer ? numbers.byteOffset : -1;
  }

  /**
   * Counts the posts of a list by the numbers each has.
   * @param numbers  where the numbers of the posts begin here; -1 where they lie elsewhere
   * @param starts   where it is told where those of each post begin; -1 where each has one, of which those that are not
   *                 below `size` are passed over
   * @returns scratch, `size` counts; null where it can't be done here
   */
  histogram(list: Uint32Array, numbers: number, starts: number, size: number): Uint32Array | null {
    const posts = this.#kernel && numbers >= 0 ? this.#placeOf(list) : -1;
    // one more than is asked for: what has no number is counted there
    const counts = posts < 0 ? -1 : this.#reserve(size + 1);
    if (counts < 0) return null;
    const end = posts + list.length * 4;
    if (starts < 0) this.#kernel!.walkOne(posts, end, numbers, size, counts);
    else this.#kernel!.walkMany(posts, end, starts, numbers, size, counts);
    return new Uint32Array(this.buffer, counts, size);
  }

  /**
   * Counts the posts of a list by the numbers each has in a row of its own.
   * @param rows   where the rows begin here; -1 where they lie elsewhere
   * @param width  numbers in a row, a multiple of 8
   * @param size   numbers are below it; those that are last in a row and the highest tell of more elsewhere
   * @param most   how many posts have more elsewhere
   * @returns scratch: `size` counts, and the posts that have more; null where it can't be done here
   */
  countRows(
    list: Uint32Array,
    rows: number,
    width: number,
    size: number,
    most: number,
  ): { counts: Uint32Array; long: Uint32Array } | null {
    const posts = this.#kernel && rows >= 0 ? this.#placeOf(list) : -1;
    const counts = posts < 0 ? -1 : this.#reserve(size);
    // one more than there may be: the kernel writes down each before it knows whether it stays
    const long = counts < 0 ? -1 : this.#reserve(Math.min(list.length, most) + 1);
    if (long < 0) return null;
    const end = this.#kernel!.walkRows(posts, posts + list.length * 4, rows, width * 2, size - 1, counts, long);
    this.#taken = stepsOver(end);
    return {
      counts: new Uint32Array(this.buffer, counts, size),
      long: new Uint32Array(this.buffer, long, (end - long) / 4),
    };
  }

  /**
   * The places of the counts that are not 0, ascending, as scratch; null where there is no kernel or no room, or where
   * the counts lie elsewhere. What lies after the counts is read with them: places past their end may follow.
   * @param first  where among them to begin; places are counted from there
   */
  found(counts: Uint32Array, first = 0, size = counts.length): Uint32Array | null {
    const places = this.#kernel && counts.buffer === this.buffer ? this.#reserve(size + 4) : -1;
    if (places < 0) return null;
    const start = counts.byteOffset + first * 4;
    const end = this.#kernel!.found(start, start + size * 4, places);
    this.#taken = stepsOver(end);
    return new Uint32Array(this.buffer, places, (end - places) / 4);
  }

  /** Where a set or a list lies; one that lies elsewhere is copied here. -1 where there is no room. */
  #placeOf(numbers: Bits | Uint32Array): number {
    if (numbers.buffer === this.buffer) return numbers.byteOffset;
    let place = this.#copies.get(numbers);
    if (place === undefined) {
      place = this.#copyOf(numbers);
      if (place >= 0) this.#copies.set(numbers, place);
    }
    return place;
  }

  #copyOf(numbers: Bits | Uint32Array): number {
    const copy = this.take(numbers.length);
    copy?.set(numbers);
    return copy ? copy.byteOffset : -1;
  }
}
