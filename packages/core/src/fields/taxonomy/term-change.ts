/** What someone does to the terms of a field. */
export type TermChange =
  | { does: 'rename'; term: string; label?: string; slug?: string }
  /** Under another term, or at the top; and there at a place among its siblings, from 0. Left out: as it is, and last. */
  | { does: 'move'; term: string; parent?: string | null; position?: number }
  | { does: 'hide'; term: string; hidden: boolean }
  /** Null takes it away. */
  | { does: 'picture'; term: string; picture?: string | null; colour?: string | null }
  | { does: 'add'; label: string; slug?: string; parent?: string | null }
  /** Its posts lose it; what stands under it moves up to where it stood. */
  | { does: 'remove'; term: string }
  /** Posts that have one of these have the other one instead; what stands under them then stands under it. */
  | { does: 'merge'; from: readonly string[]; into: string }
  /** One after the other, as one thing that is done; said by `text`, where all of them together would be too much. */
  | { does: 'several'; changes: readonly TermChange[]; text?: string };

/** Why something can't be done to a term. */
export interface TermProblem {
  code: 'no-such-term' | 'slug-taken' | 'in-a-circle' | 'nothing-to-merge' | 'too-many-terms' | 'too-deep';
  text: string;
}

/** Terms a field has at most that are shaped by hand. */
export const mostShapedTerms = 100_000;
/** Levels of a tree at most. */
export const mostTermLevels = 20;
