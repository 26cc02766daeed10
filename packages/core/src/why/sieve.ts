import { planOf, passQuery } from '../answer/plan.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { selectionsOf, type Query } from '../lens/query.js';

/** What one facet takes away. */
export interface SieveStep {
  facet: string;
  /** Posts that came to it, through the facets before it. */
  before: number;
  /** Posts it let through. */
  after: number;
  /** What it would leave on its own. */
  alone: number;
  /** How many come back without it. */
  back: number;
}

export interface Sieve {
  total: number;
  steps: SieveStep[];
  matched: number;
}

/**
 * How many posts each facet of a query takes away, in the lens's order.
 * No route or screen leads here yet; the one that shows it will.
 */
export function sieve(index: PostIndex, query: Query): Sieve {
  const { scope } = planOf(index, query.lens);
  const total = scope.set.count;
  const { active, each, combined } = passQuery(index, scope, query.lens, selectionsOf(query));
  const matched = combined.all.count;
  let left = scope.set;
  let before = total;
  const steps = active.map((facet, i): SieveStep => {
    left = left.and(each[i]!);
    const after = left.count;
    const step = {
      facet: facet.key,
      before,
      after,
      alone: scope.set.and(each[i]!).count,
      back: combined.leaveOneOut(i).count - matched,
    };
    before = after;
    return step;
  });
  return { total, steps, matched };
}
