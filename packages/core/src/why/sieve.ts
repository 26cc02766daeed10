import { planOf, passQuery } from '../answer/plan.js';
import { andBits, countBits, countShared } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import type { Query } from '../model/query.js';

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

/** How many posts each facet of a query takes away, in the lens's order. */
export function sieve(index: PostIndex, query: Query): Sieve {
  const { scope, total } = planOf(index, query.lens);
  const { active, each, others, all } = passQuery(index, scope, query);
  const matched = countBits(all);
  let left = scope;
  let before = total;
  const steps = active.map((facet, i): SieveStep => {
    left = andBits(left, each[i]!);
    const after = countBits(left);
    const step = {
      facet: facet.key,
      before,
      after,
      alone: countShared(scope, each[i]!),
      back: countBits(others[i]!) - matched,
    };
    before = after;
    return step;
  });
  return { total, steps, matched };
}
