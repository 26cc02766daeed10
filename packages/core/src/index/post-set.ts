import { andBits, bitsOf, countBits, emptyBits, hasBit, listBits, orInto, setBit, type Bits } from './bits.js';

/**
 * A set of posts as a bit a post, or as a list, ascending, or both: whichever it came as, and the other when it is
 * asked for. Few posts come as a list, and everything done with them then takes as long as they are many, not as long
 * as the index is. Never changed.
 */
export class PostSet {
  #bits: Bits | null;
  #list: Uint32Array | null;
  #count: number;

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

  /** @param count  how many posts there are, when it is known already */
  static ofBits(size: number, bits: Bits, count = -1): PostSet {
    return new PostSet(size, bits, null, count);
  }

  static ofList(size: number, list: Uint32Array): PostSet {
    return new PostSet(size, null, list, list.length);
  }

  /** Whether there are few enough of some posts for a list to be the better form: it takes no more room. */
  static isFew(size: number, count: number): boolean {
    return count * 32 <= size;
  }

  /** The posts that are in any of some sets. Of few, the lists are joined; of many, all are put into one set of bits. */
  static union(size: number, sets: readonly PostSet[]): PostSet {
    if (sets.length === 1) return sets[0]!;
    let most = 0;
    for (const set of sets) most += set.#list ? set.#list.length : Infinity;
    if (PostSet.isFew(size, most))
      return PostSet.ofList(
        size,
        joined(
          sets.map((set) => set.list),
          most,
        ),
      );
    const bits = emptyBits(size);
    for (const set of sets) {
      if (set.#bits) orInto(bits, set.#bits);
      else for (const post of set.#list!) setBit(bits, post);
    }
    return PostSet.ofBits(size, bits);
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
    this.#bits ??= bitsOf(this.size, this.#list!);
    return this.#bits;
  }

  get list(): Uint32Array {
    this.#list ??= listBits(this.#bits!, this.count);
    return this.#list;
  }

  /** The posts that are in both. */
  and(other: PostSet): PostSet {
    if (!this.#list && !other.#list) return PostSet.ofBits(this.size, andBits(this.#bits!, other.#bits!));
    const [few, more] =
      this.#list && (!other.#list || this.#list.length <= other.#list.length) ? [this, other] : [other, this];
    const list = more.#bits ? keepIn(few.#list!, more.#bits) : keepShared(few.#list!, more.#list!);
    return PostSet.ofList(this.size, list);
  }
}

function keepIn(list: Uint32Array, bits: Bits): Uint32Array {
  const kept = new Uint32Array(list.length);
  let count = 0;
  for (let i = 0; i < list.length; i++) if (hasBit(bits, list[i]!)) kept[count++] = list[i]!;
  return kept.subarray(0, count);
}

/** What two ascending lists share, in one walk along both. */
function keepShared(a: Uint32Array, b: Uint32Array): Uint32Array {
  const kept = new Uint32Array(a.length);
  let [i, j, count] = [0, 0, 0];
  while (i < a.length && j < b.length) {
    const [x, y] = [a[i]!, b[j]!];
    if (x === y) kept[count++] = x;
    if (x <= y) i++;
    if (y <= x) j++;
  }
  return kept.subarray(0, count);
}

/** Lists of posts as one, ascending, each post once. */
function joined(lists: readonly Uint32Array[], size: number): Uint32Array {
  const all = new Uint32Array(size);
  let end = 0;
  for (const list of lists) {
    all.set(list, end);
    end += list.length;
  }
  all.sort();
  let kept = 0;
  for (let i = 0; i < size; i++) if (i === 0 || all[i] !== all[i - 1]) all[kept++] = all[i]!;
  return all.subarray(0, kept);
}
