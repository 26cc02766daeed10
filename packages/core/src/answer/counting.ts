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
  #rest: Bits | undefined;
  #list: Uint32Array | undefined;

  constructor(
    readonly set: Bits,
    scope: Bits,
    scopeCount: number,
  ) {
    this.count = countBits(set);
    this.#scope = scope;
    this.#scopeCount = scopeCount;
  }

  /**
   * Counts, for every term of a column, the posts of the set that stand under it. Walks the posts in the set or those
   * it leaves out, whichever are fewer: counts over the rest are the scope's less those.
   * @param scopeCounts  counts by term over the whole scope
   */
  terms(column: TermColumn, scopeCounts: Uint32Array): Uint32Array {
    const left = this.#scopeCount - this.count;
    if (left === 0) return scopeCounts;
    if (this.count <= left) {
      this.#list ??= listBits(this.set, this.count);
      return countTermsOf(column, this.#list, this.set);
    }
    this.#rest ??= withoutBits(this.#scope, this.set);
    this.#list ??= listBits(this.#rest, left);
    const counts = countTermsOf(column, this.#list, this.#rest);
    for (let t = 0; t < counts.length; t++) counts[t] = scopeCounts[t]! - counts[t]!;
    return counts;
  }
}

/** Counts every term over a scope. */
export function countScope(column: TermColumn, scope: Bits, scopeCount: number): Uint32Array {
  return scopeCount === column.size ? column.sizes : countTermsOf(column, listBits(scope, scopeCount), scope);
}
