import { andBits, countBits, emptyBits, type Bits } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import { isRange, isSearch, isTerms, type Facet, type Lens } from '../model/lens.js';
import type { Query } from '../model/query.js';
import { countScope } from './counting.js';
import type { TermPlan } from './facet-answer.js';
import { itemPlan, type ItemPlan } from './items.js';
import { shownTerms } from './options.js';
import { passing } from './passing.js';
import { scopeOf } from './scope.js';

/** What of a lens on an index does not change from query to query: worked out at the first and kept. */
export interface Plan {
  scope: Bits;
  total: number;
  items: ItemPlan;
  terms: Map<Facet, TermPlan>;
}

const plans = new WeakMap<PostIndex, WeakMap<Lens, Plan>>();

export function planOf(index: PostIndex, lens: Lens): Plan {
  let byLens = plans.get(index);
  if (!byLens) plans.set(index, (byLens = new WeakMap()));
  let plan = byLens.get(lens);
  if (!plan) byLens.set(lens, (plan = makePlan(index, lens)));
  return plan;
}

function makePlan(index: PostIndex, lens: Lens): Plan {
  const scope = scopeOf(index, lens);
  const total = countBits(scope);
  const terms: Plan['terms'] = new Map();
  for (const facet of lens.facets) {
    if (isSearch(facet) || isRange(facet)) continue;
    const column = index.column(facet.field);
    const shown = isTerms(facet) ? shownTerms(facet, column) : null;
    terms.set(facet, { column, scopeCounts: countScope(column, scope, total), shown });
  }
  return { scope, total, items: itemPlan(index, lens), terms };
}

/** Which posts pass which facets of a query. */
export interface Passed {
  /** Facets with a choice, in the lens's order. */
  active: Facet[];
  /** For each active facet: the posts that meet its choice, in scope or not. */
  each: Bits[];
  /** For each active facet: the posts of the scope that pass all others. */
  others: Bits[];
  /** The posts of the scope that pass all. */
  all: Bits;
}

export function passQuery(index: PostIndex, scope: Bits, query: Query): Passed {
  const { lens, selections } = query;
  const active = lens.facets.filter((facet) => selections[facet.key]);
  const each = active.map((facet) => passing(index, lens, facet, selections[facet.key]!));
  return { active, each, ...combine(scope, each) };
}

/**
 * The posts that pass all facets, and for each facet those that pass all but it. Running products from both
 * ends, so that the cost is 3 ANDs a facet and not one for every pair.
 */
function combine(scope: Bits, passes: readonly Bits[]): { all: Bits; others: Bits[] } {
  const before: Bits[] = [scope];
  for (const bits of passes) before.push(andBits(before[before.length - 1]!, bits));
  const others: Bits[] = new Array<Bits>(passes.length).fill(emptyBits(0));
  let after: Bits | null = null;
  for (let i = passes.length - 1; i >= 0; i--) {
    others[i] = after ? andBits(before[i]!, after) : before[i]!;
    after = after ? andBits(after, passes[i]!) : passes[i]!;
  }
  return { all: before[passes.length]!, others };
}
