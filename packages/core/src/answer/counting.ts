import { countBits, eachBit, withoutBits, type Bits } from '../index/bits.js';
import { termSize, type TermColumn } from '../index/term-column.js';

/**
 * Counts, for every term of a column, the posts of a set that stand under it.
 *
 * Walks the posts' own terms, in the set or in what the set leaves out of `scope`, whichever is smaller: counts
 * over the rest are the scope's less those. So the cost is at most half the scope × terms a post carries.
 * @param scopeCounts  counts by term over all of `scope`
 */
export function countTerms(column: TermColumn, set: Bits, scope: Bits, scopeCounts: Uint32Array): Uint32Array {
  const inSet = countBits(set);
  const rest = countBits(scope) - inSet;
  if (rest === 0) return scopeCounts;
  if (inSet <= rest) return walk(column, set);
  const counts = walk(column, withoutBits(scope, set));
  for (let t = 0; t < counts.length; t++) counts[t] = scopeCounts[t]! - counts[t]!;
  return counts;
}

/** Counts every term over a scope. With the whole index as scope that is the size of its posting. */
export function countScope(column: TermColumn, scope: Bits, size: number): Uint32Array {
  if (countBits(scope) === size) return Uint32Array.from(column.terms, (_, t) => termSize(column, t));
  return walk(column, scope);
}

function walk(column: TermColumn, set: Bits): Uint32Array {
  const { starts, values } = column;
  const counts = new Uint32Array(column.terms.length);
  eachBit(set, (post) => {
    const end = starts[post + 1]!;
    for (let i = starts[post]!; i < end; i++) counts[values[i]!]!++;
  });
  return counts;
}
