import { countBits, listBits, withoutBits, type Bits } from '../index/bits.js';
import { countTermsOf, type TermColumn } from '../index/term-column.js';

/**
 * A set of posts that things are counted over. The list of its posts, or of those it leaves out of the scope, is made
 * when the first column asks for it and serves all others.
 */
export class Counted {
  readonly count: number;
  readonly #scope: Bits;
  readonly #scopeCount: number;
  #walk: Walk | undefined;

  constructor(
    readonly set: Bits,
    scope: Bits,
    scopeCount: number,
  ) {
    this.count = countBits(set);
    this.#scope = scope;
    this.#scopeCount = scopeCount;
  }

  /** Whether it is the whole scope. */
  get isScope(): boolean {
    return this.count === this.#scopeCount;
  }

  /** The posts to be walked: those in the set, or those of the scope it leaves out, whichever are fewer. */
  get walk(): Walk {
    if (!this.#walk) {
      const left = this.#scopeCount - this.count;
      const isRest = left < this.count;
      const set = isRest ? withoutBits(this.#scope, this.set) : this.set;
      this.#walk = { set, list: listBits(set, isRest ? left : this.count), isRest };
    }
    return this.#walk;
  }

  /**
   * Counts, for every term of a column, the posts of the set that stand under it. Counts over the posts that are left
   * out are taken from the scope's.
   * @param scopeCounts  counts by term over the whole scope
   */
  terms(column: TermColumn, scopeCounts: Uint32Array): Uint32Array {
    if (this.isScope) return scopeCounts;
    const { set, list, isRest } = this.walk;
    const counts = countTermsOf(column, list, set);
    if (isRest) for (let t = 0; t < counts.length; t++) counts[t] = scopeCounts[t]! - counts[t]!;
    return counts;
  }
}

/** Posts to be walked, as a list and as a set. */
export interface Walk {
  set: Bits;
  list: Uint32Array;
  /** They are what the counted set leaves out of the scope. */
  isRest: boolean;
}

/** Counts every term over a scope. */
export function countScope(column: TermColumn, scope: Bits, scopeCount: number): Uint32Array {
  return scopeCount === column.size ? column.sizes : countTermsOf(column, listBits(scope, scopeCount), scope);
}
