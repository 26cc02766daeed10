import { Arena } from '../kernel/arena.js';
import {
  andBits,
  bitsOf,
  countBits,
  emptyBits,
  fillSpan,
  listBits,
  orInto,
  setBit,
  withoutBits,
  wordsOf,
  type Bits,
} from '../base/bits.js';
import { lowerBound } from '../base/bounds.js';

/** What finding a post in a list costs, in posts of that list laid out and taken up again; and in the arena. */
const stepsToFind = 6;
const stepsToFindBeside = 80;

/** What sorting a post costs, in words of a set looked at. */
const stepsToSort = 16;

/**
 * A set of posts as a bit a post, or as a list, ascending, or both: whichever it came as, and the other when it is
 * asked for. Few posts come as a list, and everything done with them then takes as long as they are many, not as long
 * as the index is. Posts in a row come as their first and how many they are. Never changed.
 */
export class PostSet {
  #bits: Bits | null;
  #list: Uint32Array | null;
  #count: number;
  /** Of posts in a row the first; of any others -1. */
  #first = -1;
  /** Where posts in a row are put when they are asked for one by one. */
  #arena: Arena | null = null;

  private constructor(
    readonly size: number,
    bits: Bits | null,
    list: Uint32Array | null,
    count: number,
  ) {
    this.#bits = bits;
    this.#list = list;
    this.#count = count;
  }

  /**
   * Posts in a row.
   * @param arena  as for `and`
   */
  static ofSpan(size: number, first: number, count: number, arena: Arena | null = null): PostSet {
    const set = new PostSet(size, null, null, count);
    set.#first = first;
    set.#arena = arena;
    return set;
  }

  /** @param count  how many posts there are, when it is known already */
  static ofBits(size: number, bits: Bits, count = -1): PostSet {
    return new PostSet(size, bits, null, count);
  }

  static ofList(size: number, list: Uint32Array): PostSet {
    return new PostSet(size, null, list, list.length);
  }

  /** A set of posts, each in the list at least once, in any order. */
  static ofUnsorted(size: number, list: Uint32Array, arena: Arena | null = null): PostSet {
    // sorting looks at every post some ten times; a bit each puts them in order by looking at all words once
    if (list.length * stepsToSort < wordsOf(size)) return PostSet.ofList(size, onceEach(list.slice().sort()));
    const bits = cleanBits(size, arena);
    markIn(bits, list, arena);
    const set = PostSet.ofBits(size, bits, arena?.count(bits));
    // sets of bits are joined so quickly in the arena that a list is not worth having before it is asked for
    return arena === null && PostSet.isFew(size, list.length) ? set.listedIn(arena) : set;
  }

  /** Whether there are few enough of some posts for a list to be the better form: it takes no more room. */
  static isFew(size: number, count: number): boolean {
    return count * 32 <= size;
  }

  /**
   * The posts that are in any of some sets. Of few, the lists are joined; of many, all are put into one set of bits.
   * @param arena  as for `and`
   */
  static union(size: number, sets: readonly PostSet[], arena: Arena | null = null): PostSet {
    if (sets.length === 1) return sets[0]!;
    let most = 0;
    for (const set of sets) most += set.#list ? set.#list.length : Infinity;
    if (PostSet.isFew(size, most)) {
      const all = Arena.numbers(arena, most);
      let end = 0;
      for (const set of sets) {
        all.set(set.#list!, end);
        end += set.#list!.length;
      }
      return PostSet.ofUnsorted(size, all, arena);
    }
    const joined = arena && sets.length > 1 ? PostSet.#joined(size, sets, arena) : null;
    if (joined) return joined;
    const bits = cleanBits(size, arena);
    for (const set of sets) {
      if (set.#list && !set.#bits) markIn(bits, set.#list, arena);
      else if (!arena || arena.orInto(bits, set.bits) < 0) orInto(bits, set.bits);
    }
    return PostSet.ofBits(size, bits, arena?.count(bits));
  }

  /** Sets of bits put together by the kernel, which counts them as it goes; null of lists, or where there is no room. */
  static #joined(size: number, sets: readonly PostSet[], arena: Arena): PostSet | null {
    for (const set of sets) if (!set.#bits) return null;
    const first = arena.or(sets[0]!.#bits!, sets[1]!.#bits!);
    if (!first) return null;
    let { count } = first;
    for (let i = 2; i < sets.length && count >= 0; i++) count = arena.orInto(first.bits, sets[i]!.#bits!);
    return count < 0 ? null : PostSet.ofBits(size, first.bits, count);
  }

  get count(): number {
    if (this.#count < 0) this.#count = countBits(this.#bits!);
    return this.#count;
  }

  /** Whether the list is there already. */
  get isListed(): boolean {
    return this.#list !== null;
  }

  get bits(): Bits {
    if (this.#bits) return this.#bits;
    const first = this.#first;
    this.#bits =
      first < 0
        ? bitsOf(this.size, this.#list!)
        : fillSpan(cleanBits(this.size, this.#arena), first, first + this.#count);
    return this.#bits;
  }

  /** The bits for a while: those of a list are put in the arena, where nothing that outlives an answer may lie. */
  bitsIn(arena: Arena | null): Bits {
    if (this.#bits || !this.#list || !arena) return this.bits;
    const bits = cleanBits(this.size, arena);
    markIn(bits, this.#list, arena);
    return bits;
  }

  get list(): Uint32Array {
    return this.listedIn(null).#list!;
  }

  /** The same with its list at hand. It lies in the arena only if the set itself does: others may be kept for long. */
  listedIn(arena: Arena | null): PostSet {
    if (this.#list) return this;
    if (this.#first >= 0) {
      this.#list = Arena.numbers(this.#arena, this.#count);
      for (let i = 0; i < this.#count; i++) this.#list[i] = this.#first + i;
      return this;
    }
    const isScratch = arena !== null && arena.owns(this.#bits!);
    this.#list = (isScratch && arena.list(this.#bits!, this.count)) || listBits(this.#bits!);
    return this;
  }

  /** The same, to be kept beyond an answer: what lies in the arena is copied out of it. */
  settled(arena: Arena | null): PostSet {
    if (!arena) return this;
    if (this.#first >= 0) return PostSet.ofSpan(this.size, this.#first, this.#count);
    if (this.#bits && !this.#list && PostSet.isFew(this.size, this.count)) {
      return PostSet.ofList(this.size, this.listedIn(arena).list).settled(arena);
    }
    const out = <N extends Bits | Uint32Array>(numbers: N | null): N | null =>
      numbers && numbers.buffer === arena.buffer ? (numbers.slice() as N) : numbers;
    const [bits, list] = [out(this.#bits), out(this.#list)];
    return bits === this.#bits && list === this.#list ? this : new PostSet(this.size, bits, list, this.#count);
  }

  /**
   * The posts that are in both.
   * @param arena  where the outcome may lie if it is not kept beyond an answer
   */
  and(other: PostSet, arena: Arena | null = null): PostSet {
    if (this.#count === 0) return this;
    if (other.#count === 0) return other;
    const inRow = this.#first >= 0 ? this.#cutOut(other) : other.#first >= 0 ? other.#cutOut(this) : null;
    if (inRow) return inRow;
    if (!this.#list && !other.#list) {
      const shared = arena?.and(this.bits, other.bits);
      if (shared) return PostSet.ofBits(this.size, shared.bits, shared.count);
      return PostSet.ofBits(this.size, andBits(this.bits, other.bits));
    }
    const [few, more] =
      this.#list && (!other.#list || this.#list.length <= other.#list.length) ? [this, other] : [other, this];
    const list = more.#bits
      ? keepIn(few.#list!, more.#bits, arena)
      : keepShared(few.#list!, more.#list!, this.size, arena);
    return PostSet.ofList(this.size, list);
  }

  /** The posts of another set that are in this row of posts; null where that is best done with a bit a post. */
  #cutOut(other: PostSet): PostSet | null {
    const [first, end] = [this.#first, this.#first + this.#count];
    if (other.#first >= 0) {
      const from = Math.max(first, other.#first);
      const to = Math.min(end, other.#first + other.#count);
      return PostSet.ofSpan(this.size, from, Math.max(0, to - from), this.#arena);
    }
    if (other.#list) {
      const list = other.#list;
      return PostSet.ofList(this.size, list.subarray(lowerBound(list, first), lowerBound(list, end)));
    }
    if (!PostSet.isFew(this.size, this.#count)) return null;
    return PostSet.ofList(this.size, listRun(other.#bits!, first, end, this.#arena));
  }

  /** The posts that are in this and not in the other; `arena` as for `and`. */
  without(other: PostSet, arena: Arena | null = null): PostSet {
    const left = arena?.without(this.bits, other.bits);
    if (left) return PostSet.ofBits(this.size, left.bits, left.count);
    return PostSet.ofBits(this.size, withoutBits(this.bits, other.bits));
  }
}

/** The posts of a set from `start` up to `end`, the latter left out. */
function listRun(bits: Bits, start: number, end: number, arena: Arena | null): Uint32Array {
  const list = Arena.numbers(arena, end - start);
  let count = 0;
  for (let w = start >>> 5; w << 5 < end; w++) {
    let v = bits[w]!;
    if (w === start >>> 5) v &= 0xffffffff << (start & 31);
    if (w === (end - 1) >>> 5) v &= 0xffffffff >>> (31 - ((end - 1) & 31));
    while (v !== 0) {
      const low = v & -v;
      list[count++] = (w << 5) + 31 - Math.clz32(low);
      v ^= low;
    }
  }
  return Arena.first(arena, list, count);
}

/** A set of no posts, to be filled. */
export function cleanBits(size: number, arena: Arena | null): Bits {
  return arena?.take(wordsOf(size))?.fill(0) ?? emptyBits(size);
}

/** Puts the posts of a list into a set of one's own. */
export function markIn(bits: Bits, list: Uint32Array, arena: Arena | null): void {
  if (list.length >= fewForKernel && arena?.mark(bits, list)) return;
  for (let i = 0; i < list.length; i++) setBit(bits, list[i]!);
}

/** A post is written down before it is known to stay: a branch that is taken at random would cost more than the rest. */
function keepIn(list: Uint32Array, bits: Bits, arena: Arena | null): Uint32Array {
  const found = list.length < fewForKernel ? null : arena?.keepIn(list, bits);
  if (found) return found;
  const kept = Arena.numbers(arena, list.length);
  let count = 0;
  for (let i = 0; i < list.length; i++) {
    const post = list[i]!;
    kept[count] = post;
    count += (bits[post >>> 5]! >>> (post & 31)) & 1;
  }
  return Arena.first(arena, kept, count);
}

/** Lists shorter than this are walked sooner than the kernel is called. */
const fewForKernel = 32;

let scratch: Bits = emptyBits(0);

/** What two lists share. Few posts are looked up in the other list; for more, that one is laid out as bits and taken up again. */
function keepShared(few: Uint32Array, more: Uint32Array, size: number, arena: Arena | null): Uint32Array {
  if (few.length * (arena ? stepsToFindBeside : stepsToFind) < more.length) return keepFound(few, more, arena);
  const marked = more.length < fewForKernel ? null : arena?.take(wordsOf(size))?.fill(0);
  if (marked && arena!.mark(marked, more)) return keepIn(few, marked, arena);
  if (scratch.length << 5 < size) scratch = emptyBits(size);
  for (let i = 0; i < more.length; i++) scratch[more[i]! >>> 5]! |= 1 << (more[i]! & 31);
  const kept = keepIn(few, scratch, arena);
  for (let i = 0; i < more.length; i++) scratch[more[i]! >>> 5] = 0;
  return kept;
}

/** Each post is looked for by halving, from where the one before it was found on. */
function keepFound(few: Uint32Array, more: Uint32Array, arena: Arena | null): Uint32Array {
  const kept = Arena.numbers(arena, few.length);
  let [count, from] = [0, 0];
  for (let i = 0; i < few.length; i++) {
    const post = few[i]!;
    let end = more.length;
    while (from < end) {
      const middle = (from + end) >>> 1;
      if (more[middle]! < post) from = middle + 1;
      else end = middle;
    }
    if (more[from] === post) kept[count++] = post;
  }
  return Arena.first(arena, kept, count);
}

/** An ascending list without what it repeats. */
function onceEach(list: Uint32Array): Uint32Array {
  let kept = 0;
  for (let i = 0; i < list.length; i++) if (i === 0 || list[i] !== list[i - 1]) list[kept++] = list[i]!;
  return list.subarray(0, kept);
}
