import { Counted, type KeptCounts, type Scope } from '../engine/index/counting.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { numbersIn, type RowColumn } from '../engine/columns/post-rows.js';
import { PostSet } from '../engine/sets/post-set.js';
import { walkedColumns } from '../engine/columns/sorted-column.js';
import { finished, type Steps } from '../engine/base/steps.js';
import type { FacetPlan } from '../kinds/kind.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import { facetLabel } from '../lens/label.js';
import type { Lens } from '../lens/lens.js';
import type { Selection } from '../model/selection.js';
import { Combination } from '../engine/sets/combination.js';
import { itemPlan, type ItemPlan } from './items.js';
import { chosenTerms, passing } from './passing.js';
import { numbersOf, scopeOf } from './scope.js';

/** What of a lens on an index does not change from query to query: worked out at the first and kept. */
export interface Plan {
  scope: Scope;
  items: ItemPlan;
  /** Numbers of the posts that stand first. */
  pinned: readonly number[];
  /** In the lens's order. */
  facets: FacetPlan[];
  /** Terms that at least so many posts have are common: counts under one of them alone are kept. */
  commonFrom: number;
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
  const scope = scopeCounted(index, lens.scope);
  finished(prepareRows(index, lens));
  const facets = lens.facets.map((facet): FacetPlan => {
    const kind = kindOf(facet);
    const columns = kind.columns(index, lens, facet);
    const shown = kind.shown(facet, columns);
    return { label: facetLabel(facet, index.fields, lens), ...columns, shown, common: [] };
  });
  const pinned = numbersOf(index, lens.scope.pinned);
  return { scope, pinned, items: itemPlan(index, lens), facets, commonFrom: leastCommon(index, facets) };
}

/** A term is common that so many of all posts have, and the counts kept under all such terms are so many at most. */
const commonShare = 1 / 100;
const mostKept = 4_000_000;

/** What the least common term has of posts, of those whose counts are kept: the more terms, the fewer are. */
function leastCommon(index: PostIndex, facets: readonly FacetPlan[]): number {
  const columns = facets.flatMap(({ terms }) => terms ?? []);
  const counted = new Set<RowColumn>([...columns, ...facets.flatMap(({ ordered }) => walkedColumns(ordered))]);
  const each = [...counted].reduce((sum, column) => sum + numbersIn(column), 0);
  const least = Math.max(1, index.size * commonShare);
  const common = columns.flatMap(({ sizes }) => [...sizes].filter((size) => size >= least)).sort((a, b) => b - a);
  const beyond = common[Math.floor(mostKept / Math.max(1, each))];
  return beyond === undefined ? least : beyond + 1;
}

/** Values of a range that are counted along with the terms of posts; of more, to go along them all takes longer. */
const mostValues = 1024;

/** Has the index put what a lens counts by in rows. */
export function* prepareRows(index: PostIndex, lens: Lens): Steps<void> {
  if (!index.arena) return;
  const columns = lens.facets.flatMap((facet): RowColumn[] => {
    const { terms, ordered } = kindOf(facet).columns(index, lens, facet);
    const few = walkedColumns(ordered).filter((one) => one.distinct.length <= mostValues);
    return terms ? [terms, ...few] : few;
  });
  yield* index.prepareRows(columns);
}

const scopes = new WeakMap<PostIndex, WeakMap<Lens['scope'], Scope>>();

/** The scope of a lens; of lenses that differ elsewhere it is the same object. */
export function scopeCounted(index: PostIndex, scope: Lens['scope']): Scope {
  let byScope = scopes.get(index);
  if (!byScope) scopes.set(index, (byScope = new WeakMap()));
  let counted = byScope.get(scope);
  if (!counted) {
    counted = {
      set: PostSet.ofBits(index.size, scopeOf(index, scope)),
      arena: index.arena,
      kept: new Map(),
      rows: () => index.rows,
    };
    byScope.set(scope, counted);
  }
  return counted;
}

/** Which posts pass which facets of a query. */
export interface Passed {
  /** Facets with a choice, in the lens's order. */
  active: Facet[];
  /** By facet of the lens: its place among those; -1 where it has no choice. */
  places: number[];
  /** For each active facet: the numbers of the terms that are chosen; none of a range or search. */
  terms: (readonly number[])[];
  /** For each active facet: the posts that meet its choice, in scope or not. */
  each: PostSet[];
  /** The posts of the scope that pass all, and, for each active facet, all others. */
  combined: Combination;
}

/** @param selections  what is chosen in each facet of the lens */
export function passQuery(
  index: PostIndex,
  scope: Scope,
  lens: Lens,
  selections: readonly (Selection | undefined)[],
): Passed {
  const active: Facet[] = [];
  const places: number[] = [];
  const terms: (readonly number[])[] = [];
  const each: PostSet[] = [];
  for (let i = 0; i < selections.length; i++) {
    const selection = selections[i];
    places.push(selection ? active.length : -1);
    if (!selection) continue;
    const facet = lens.facets[i]!;
    const chosen = chosenTerms(index, lens, facet, selection);
    active.push(facet);
    terms.push(chosen);
    each.push(passing(index, lens, facet, selection, index.arena, chosen));
  }
  return { active, places, terms, each, combined: new Combination(scope.set, each, index.arena) };
}

/** What a query counts over: all that match, and, for each active facet, those that pass all others. */
export function countedOf(
  plan: Plan,
  { active, places, terms, combined }: Passed,
  selections: readonly (Selection | undefined)[],
): { all: Counted; leaveOneOut: (at: number) => Counted } {
  const keptOf = (at: number) => {
    const facet = places.indexOf(at);
    return keptUnder(plan, plan.facets[facet]!, selections[facet]!, terms[at]!);
  };
  return {
    all: new Counted(combined.all, plan.scope, active.length === 1 ? keptOf(0) : null),
    leaveOneOut: (at) =>
      new Counted(combined.leaveOneOut(at), plan.scope, active.length === 2 ? keptOf(1 - at) : null, false),
  };
}

/** Room for the counts under a facet's choice alone, if that is one common term. */
function keptUnder(plan: Plan, facet: FacetPlan, selection: Selection, chosen: readonly number[]): KeptCounts | null {
  // of several that are named, one that is known is not all that is asked for
  if (!facet.terms || chosen.length !== 1 || (selection.type === 'terms' && selection.terms.length > 1)) return null;
  const [term] = chosen as [number];
  return facet.terms.sizes[term]! < plan.commonFrom ? null : commonCounts(facet, term);
}

/** Room for the counts under a common term alone. */
export function commonCounts({ common }: FacetPlan, term: number): KeptCounts {
  return (common[term] ??= new Map() as KeptCounts);
}

/** Runs what may take scratch from the arena, if the index has one. */
export function withScratch<T>(index: PostIndex, work: () => T): T {
  return index.arena ? index.arena.during(work) : work();
}
