import { planOf, passQuery } from '../answer/plan.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { selectionsOf, type Query } from '../lens/query.js';

/** What one facet with a choice takes away. */
export interface SieveStep {
  key: string;
  /** Posts it would leave on its own. */
  alone: number;
  /** Posts that would match without it: the leave-one-out count. */
  without: number;
  /** Posts that are left after it and all facets before it. */
  left: number;
}

export interface Sieve {
  total: number;
  matched: number;
  /** Facets with a choice, in the lens's order. */
  facets: SieveStep[];
}

/** How many posts each facet of a query takes away. */
export function sieve(index: PostIndex, query: Query): Sieve {
  const { scope } = planOf(index, query.lens);
  const { active, each, combined } = passQuery(index, scope, query.lens, selectionsOf(query));
  let left = scope.set;
  const facets = active.map(({ key }, i): SieveStep => {
    left = left.and(each[i]!);
    return {
      key,
      alone: scope.set.and(each[i]!).count,
      without: combined.leaveOneOut(i).count,
      left: left.count,
    };
  });
  return { total: scope.set.count, matched: combined.all.count, facets };
}
