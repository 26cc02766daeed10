import { planOf, withScratch } from '../answer/plan.js';
import { firstOf } from '../engine/base/first-of.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Lens } from '../lens/lens.js';
import { choiceOf, choosable, counter, type Choice, type Choosable } from './dead-ends.js';

/** How many posts any two choices of two facets give together. */
export interface CrossTable {
  rows: Choice[];
  columns: Choice[];
  /** By row, then by column. */
  counts: number[][];
}

/** Terms of each facet that are put against one another: those with most posts. */
const [mostRows, mostColumns] = [12, 10];

/** Puts the commonest terms of two facets against one another; null where one of them has no terms. */
export function crossTable(index: PostIndex, lens: Lens, facets: readonly [string, string]): CrossTable | null {
  const plan = planOf(index, lens);
  const all = choosable(plan, lens);
  const [one, other] = facets.map((key) => all.find(({ facet }) => facet.key === key));
  if (!one || !other) return null;
  const [rows, columns] = [commonest(one, mostRows), commonest(other, mostColumns)];
  return {
    rows: rows.map((term) => choiceOf(one, term)),
    columns: columns.map((term) => choiceOf(other, term)),
    counts: rows.map((row) =>
      withScratch(index, () => {
        const counts = counter(index, plan, one, row)(other);
        return columns.map((column) => counts[column]!);
      }),
    ),
  };
}

/** In the order of their column, as visitors see them. */
function commonest({ terms, counts }: Choosable, most: number): number[] {
  return firstOf(terms.length, most, (a, b) => counts[terms[b]!]! - counts[terms[a]!]! || a - b)
    .sort((a, b) => a - b)
    .map((i) => terms[i]!);
}
