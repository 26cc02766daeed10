import { PostSet } from './post-set.js';
import type { Arena } from '../kernel/arena.js';

/**
 * The posts that pass all of some facets, and those that pass all but one. Smaller sets come first, so that most products
 * are of few posts or none. What is left with one facet left out is made when it is asked for: not every facet asks.
 */
export class Combination {
  readonly all: PostSet;
  readonly #scope: PostSet;
  readonly #arena: Arena | null;
  readonly #sets: readonly Passing[];
  /** Products of the first sets, as many as the place tells; null stands for all posts. */
  readonly #before: (PostSet | null)[] = [null];
  /** Likewise of the sets from a place on, as far as they were asked for. */
  readonly #after: PostSet[] = [];
  /** Whichever set is left out, one of few posts is left, and to go on with that is less than to join sets of many. */
  readonly #isFew: boolean;
  /** The posts that pass all facets but one, by its place, as far as they were asked for. */
  readonly #leftOneOut: (PostSet | undefined)[] = [];

  /**
   * @param passes  for each facet the posts that pass it, in scope or not
   * @param arena   where sets may lie, if they are not kept beyond an answer
   */
  constructor(scope: PostSet, passes: readonly PostSet[], arena: Arena | null) {
    const sets = passes.map((set, of): Passing => ({ set, of }));
    // never left out; of all posts it needs no AND
    if (scope.count < scope.size) sets.push({ set: scope, of: -1 });
    sortByCount(sets);
    let all: PostSet | null = null;
    for (const { set } of sets) this.#before.push((all = both(all, set, arena)));
    this.#scope = scope;
    this.#arena = arena;
    this.#sets = sets;
    this.#isFew = sets.length > 1 && PostSet.isFew(scope.size, sets[1]!.set.count);
    this.all = all ?? scope;
  }

  /** The posts that pass all facets but one. */
  leaveOneOut(of: number): PostSet {
    return (this.#leftOneOut[of] ??= this.#leaveOneOut(of) ?? this.#scope);
  }

  #leaveOneOut(of: number): PostSet | null {
    let at = 0;
    while (this.#sets[at]!.of !== of) at++;
    let rest = this.#before[at] ?? null;
    if (!this.#isFew) return both(rest, this.#from(at + 1), this.#arena);
    for (let i = at + 1; i < this.#sets.length; i++) rest = both(rest, this.#sets[i]!.set, this.#arena);
    return rest;
  }

  /** The product of the sets from a place on. */
  #from(at: number): PostSet | null {
    if (at >= this.#sets.length) return null;
    const { set } = this.#sets[at]!;
    return (this.#after[at] ??= both(set, this.#from(at + 1), this.#arena) ?? set);
  }
}

/** The posts that pass a facet, told by its place; that of the scope is -1. */
interface Passing {
  set: PostSet;
  of: number;
}

/** By insertion: they are a handful, and to sort those any other way takes longer. */
function sortByCount(sets: Passing[]): void {
  for (let i = 1; i < sets.length; i++) {
    const one = sets[i]!;
    let at = i;
    for (; at > 0 && sets[at - 1]!.set.count > one.set.count; at--) sets[at] = sets[at - 1]!;
    sets[at] = one;
  }
}

function both(a: PostSet | null, b: PostSet | null, arena: Arena | null): PostSet | null {
  return a && b ? a.and(b, arena) : (a ?? b);
}
