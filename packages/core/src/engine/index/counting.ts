import { Arena } from '../kernel/arena.js';
import { countRun, firstBit, lastBitBefore } from '../base/bits.js';
import { countsAt, noCounts, type Counts } from '../columns/counts.js';
import { RowCounts, type PostRows, type RowPlace } from '../columns/post-rows.js';
import type { PostSet } from '../sets/post-set.js';
import { lowerBound } from '../base/bounds.js';
import type { SortedColumn } from '../columns/sorted-column.js';
import { countOne, countTermsOf, type TermColumn } from '../columns/term-column.js';

/** Counts that are kept, by the column they are of. */
export type KeptCounts = Map<TermColumn | SortedColumn, Uint32Array>;

/** The posts a lens sees, and counts over all of them. */
export interface Scope {
  set: PostSet;
  /** Where sets may be put that are of use while an answer is worked out. */
  arena: Arena | null;
  kept: KeptCounts;
  /** What each post has in all columns, as far as the index has put it in rows. */
  rows: () => PostRows | null;
}

/** A set of posts that things are counted over, by walking its posts or those it leaves out of the scope. */
export class Counted {
  readonly #scope: Scope;
  readonly #kept: KeptCounts | null;
  readonly #isForMany: boolean;
  #walk: Walk | undefined;
  /** Counts by all columns in rows; null where to count by one at a time is less to do. */
  #inRows: RowCounts | null | undefined;

  /**
   * @param kept       counts over this very set that were worked out before, and room for those that were not
   * @param isForMany  whether most columns will be counted by, and not one alone
   */
  constructor(
    readonly set: PostSet,
    scope: Scope,
    kept: KeptCounts | null = null,
    isForMany = true,
  ) {
    this.#scope = scope;
    this.#kept = set === scope.set ? scope.kept : kept;
    this.#isForMany = isForMany;
  }

  /** Whether counts over the set are kept, so that the same ones come again. */
  get keepsCounts(): boolean {
    return this.#kept !== null;
  }

  /** Counts, for every term of a column, the posts of the set that stand under it. Never to be changed. */
  terms(column: TermColumn): Uint32Array {
    return this.#counts(column, (posts) => countTermsOf(column, posts, this.#scope.arena));
  }

  /** The same where they lie, with which of them are not 0. */
  countsOf(column: TermColumn): Counts {
    if (this.set.count === 0) return noCounts(column.terms.length);
    if (!this.#kept) {
      const { posts, isRest } = this.#walked();
      const place = isRest ? null : this.#placeInRows(column, posts);
      if (place) return this.#inRows!.countsOf(place);
    }
    const values = this.terms(column);
    return countsAt(values, 0, values.length, this.#scope.arena);
  }

  /** Whether the values of a column are counted along with everything else. */
  countsAlong(column: SortedColumn): boolean {
    const { posts, isRest } = this.#walked();
    return !isRest && this.#placeInRows(column, posts) !== null;
  }

  /** Counts, for every value of a column by its rank, the posts of the set that have it. Never to be changed. */
  ranks(column: SortedColumn): Uint32Array {
    const { arena } = this.#scope;
    return this.#counts(column, (posts) => {
      const { list } = posts.listedIn(arena);
      const countsOf = arena?.histogram(list, column.ranksAt, -1, column.distinct.length);
      if (countsOf) return countsOf;
      const counts = Arena.zeros(arena, column.distinct.length);
      countOne(column.ranks, list, counts);
      return counts;
    });
  }

  /** Numbers with anything in them, for as long as the answer is worked out. */
  numbers(count: number): Uint32Array {
    return Arena.numbers(this.#scope.arena, count);
  }

  /** The first and the last post of the set below `end`; null where there is none. */
  ends(end: number): { first: number; last: number } | null {
    if (this.set.isListed) {
      const { list } = this.set;
      const count = lowerBound(list, end);
      return count === 0 ? null : { first: list[0]!, last: list[count - 1]! };
    }
    const last = lastBitBefore(this.set.bits, end);
    return last < 0 ? null : { first: firstBit(this.set.bits), last };
  }

  /** How many posts of the set come before each of some posts, which ascend. */
  before(posts: Uint32Array): ArrayLike<number> {
    if (this.set.isListed) return placesIn(this.set.list, posts, this.#scope.arena);
    const { bits } = this.set;
    const found = this.#scope.arena?.before(bits, posts);
    if (found) return found;
    let count = 0;
    return posts.map((post, i) => (count += countRun(bits, i === 0 ? 0 : posts[i - 1]!, post)));
  }

  /** Counts over posts that are left out of the scope are taken from the scope's. */
  #counts(column: TermColumn | SortedColumn, count: (posts: PostSet) => Uint32Array): Uint32Array {
    const known = this.#kept?.get(column);
    if (known) return known;
    const { posts, isRest } = this.#walked();
    const place = this.#placeInRows(column, posts);
    let counts = place ? this.#inRows!.of(place) : count(posts);
    if (isRest) {
      const whole = new Counted(this.#scope.set, this.#scope).#counts(column, count);
      // not in place: what is counted by all columns at once may be asked for again
      const left = Arena.numbers(this.#scope.arena, counts.length);
      for (let t = 0; t < counts.length; t++) left[t] = whole[t]! - counts[t]!;
      counts = left;
    }
    if (this.#kept) {
      counts = counts.slice();
      this.#kept.set(column, counts);
    }
    return counts;
  }

  #walked(): Walk {
    return (this.#walk ??= walkOf(this.set, this.#scope));
  }

  /** Where the counts of a column stand, where they are made by all columns in rows at once. */
  #placeInRows(column: TermColumn | SortedColumn, posts: PostSet): RowPlace | null {
    if (this.#inRows === null) return null;
    const rows = this.#scope.rows();
    const place = rows?.places.get(column);
    if (!place) return null;
    if (!this.#inRows) {
      const most = this.#isForMany ? rows!.mostForAll : place.mostForOne;
      const isLess = posts.count <= most;
      this.#inRows = isLess ? new RowCounts(rows!, posts, this.#scope.arena, this.#isForMany) : null;
    }
    return this.#inRows ? place : null;
  }
}

/** How many posts of a list come before each of some posts; both ascend. */
function placesIn(list: Uint32Array, posts: Uint32Array, arena: Arena | null): Uint32Array {
  const counts = Arena.numbers(arena, posts.length);
  // few are soon looked through, and of many most are passed over by halving
  for (let i = 0, at = 0; i < posts.length; i++) {
    if (list.length > fewToPass) at = lowerBound(list, posts[i]!);
    else while (at < list.length && list[at]! < posts[i]!) at++;
    counts[i] = at;
  }
  return counts;
}

/** Posts that are passed one by one sooner than by halving. */
const fewToPass = 64;

/** Posts to be walked. */
interface Walk {
  posts: PostSet;
  /** They are what the counted set leaves out of the scope. */
  isRest: boolean;
}

/** The posts in a set, or those of the scope it leaves out, whichever are fewer. */
function walkOf(set: PostSet, { set: scope, arena }: Scope): Walk {
  const left = scope.count - set.count;
  if (set === scope || left >= set.count) return { posts: set, isRest: false };
  return { posts: scope.without(set, arena), isRest: true };
}
