import { withoutBits } from '../index/bits.js';
import { PostSet } from '../index/post-set.js';
import type { SortedColumn } from '../index/sorted-column.js';
import { countOne, countTermsOf, type TermColumn } from '../index/term-column.js';

/** Counts that are kept, by the column they are of. */
export type KeptCounts = Map<TermColumn | SortedColumn, Uint32Array>;

/** The posts a lens sees, and counts over all of them. */
export interface Scope {
  set: PostSet;
  kept: KeptCounts;
}

/** A set of posts that things are counted over, by walking its posts or those it leaves out of the scope. */
export class Counted {
  readonly #scope: Scope;
  readonly #kept: KeptCounts | null;
  #walk: Walk | undefined;

  /** @param kept  counts over this very set that were worked out before, and room for those that were not */
  constructor(
    readonly set: PostSet,
    scope: Scope,
    kept: KeptCounts | null = null,
  ) {
    this.#scope = scope;
    this.#kept = set === scope.set ? scope.kept : kept;
  }

  /** Whether counts over the set are kept, so that the same ones come again. */
  get keepsCounts(): boolean {
    return this.#kept !== null;
  }

  /** Counts, for every term of a column, the posts of the set that stand under it. Never to be changed. */
  terms(column: TermColumn): Uint32Array {
    return this.#counts(column, (posts) => countTermsOf(column, posts));
  }

  /** Counts, for every value of a column by its rank, the posts of the set that have it. Never to be changed. */
  ranks(column: SortedColumn): Uint32Array {
    return this.#counts(column, ({ list }) => countOne(column.ranks, list, column.distinct.length));
  }

  /** Counts over posts that are left out of the scope are taken from the scope's. */
  #counts<C extends TermColumn | SortedColumn>(column: C, count: (posts: PostSet) => Uint32Array): Uint32Array {
    const known = this.#kept?.get(column);
    if (known) return known;
    this.#walk ??= walkOf(this.set, this.#scope.set);
    const counts = count(this.#walk.posts);
    if (this.#walk.isRest) {
      const whole = new Counted(this.#scope.set, this.#scope).#counts(column, count);
      for (let t = 0; t < counts.length; t++) counts[t] = whole[t]! - counts[t]!;
    }
    this.#kept?.set(column, counts);
    return counts;
  }
}

/** Posts to be walked. */
interface Walk {
  posts: PostSet;
  /** They are what the counted set leaves out of the scope. */
  isRest: boolean;
}

/** The posts in a set, or those of the scope it leaves out, whichever are fewer. */
function walkOf(set: PostSet, scope: PostSet): Walk {
  const left = scope.count - set.count;
  if (set === scope || left >= set.count) return { posts: set, isRest: false };
  return { posts: PostSet.ofBits(scope.size, withoutBits(scope.bits, set.bits), left), isRest: true };
}
