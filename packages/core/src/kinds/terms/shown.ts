import type { Option } from '../../model/answer.js';

/** Options as an answer holds them. */
export interface Drawn {
  options: Option[];
  /** Terms that are shown but left out of the answer, since there are too many. */
  more: number;
}

/**
 * The terms a facet shows, depth first in its order. Which terms it may show does not depend on a query, so this is
 * done once a lens; what a query changes (counts, choice, muting) is laid over it by `drawOptions`.
 */
export interface ShownTerms {
  /** Term numbers, depth first, siblings in given or label order. */
  terms: readonly number[];
  labels: readonly string[];
  /** Whether the term is shown without being chosen. */
  shown: Uint8Array;
  /** The options while nothing that is hidden is chosen and no zero count hides one. */
  places: Places;
  /** Whether no term stands under another. */
  isFlat: boolean;
  /** By term: its place among all by label. */
  byLabel: Uint32Array;
  /** Whether there are too many to be held by an answer. */
  isMany: boolean;
  /** Where a term stands in the order they are shown in. */
  placeOf: (term: number) => number;
  /** Options drawn before with nothing chosen, by the counts laid over them. */
  drawn: WeakMap<Uint32Array, Drawn>;
}

/** What stays the same of some options from query to query. */
export interface Places {
  /** Their term numbers, in order. */
  terms: Uint32Array;
  /** By term: its place among them; -1 where it is not there. */
  at: Int32Array;
  /** The options as they are while nothing has them: most terms of most answers. Shared by all answers. */
  zeros: Option[];
  /**
   * Likewise with counts from 1 to `fewest`, each made when it is first wanted: most of the rest. That of a place and a
   * count stands at the place after as many runs of all places as the count is. None where the places are one answer's
   * own.
   */
  few: (Option | undefined)[];
  fewest: number;
  /** Whether all terms are there as they are numbered, so that the place of each is its number. */
  isNumbered: boolean;
}
