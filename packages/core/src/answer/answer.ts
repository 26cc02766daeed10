import { maxValues } from '../address/read.js';
import { writeAddress } from '../address/write.js';
import { andBits, countBits, emptyBits, type Bits } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import type { TermColumn } from '../index/term-column.js';
import type { Answer, FacetAnswer, Option, Way } from '../model/answer.js';
import { defaultSort, isSingle, isSwitch, type Facet, type Lens, type SwitchFacet } from '../model/lens.js';
import type { Notice, Query, Selection } from '../model/query.js';
import { countScope, countTerms } from './counting.js';
import { itemOf, pageOf, shownFields } from './items.js';
import { drawOptions, shownTerms, type ShownTerms } from './options.js';
import { passing } from './passing.js';
import { scopeOf } from './scope.js';

/** What of a lens does not change from query to query. */
interface Plan {
  scope: Bits;
  total: number;
  /** Keys of the fields that items carry. */
  shown: string[];
  /** Counts over the scope and the shown terms, by facet. */
  facets: Map<Facet, { column: TermColumn; scopeCounts: Uint32Array; shown: ShownTerms | null }>;
}

const plans = new WeakMap<PostIndex, WeakMap<Lens, Plan>>();

/**
 * Answers a query: total, matched, one page of posts, and every facet's options with exact counts.
 * A pure function of (index, query).
 * @param notices  what reading the address noted; the answer's own are put after them
 */
export function answer(index: PostIndex, query: Query, notices: readonly Notice[] = []): Answer {
  const { lens } = query;
  const plan = planOf(index, lens);
  const active = lens.facets.filter((facet) => query.selections[facet.key]);
  const passes = active.map((facet) => passing(index, facet, query.selections[facet.key]!));
  const { all, others } = combine(plan.scope, passes);
  const matched = countBits(all);

  const size = lens.paging.mode === 'all' ? Math.max(matched, 1) : lens.paging.size;
  const pages = Math.max(1, Math.ceil(matched / size));
  const page = Math.min(Math.max(query.page, 1), pages);
  const sort = lens.sort.options.find((option) => option.key === query.sort) ?? defaultSort(lens);
  const said = [...notices];
  if (page !== query.page) {
    said.push({
      code: 'page-clamped',
      value: String(query.page),
      text: `There is no page ${query.page}, so page ${page} is shown.`,
    });
  }

  const facets = lens.facets.map((facet) => {
    const at = active.indexOf(facet);
    const under = at < 0 || isAll(facet) ? all : others[at]!;
    return facetAnswer(index, plan, facet, query.selections[facet.key], under);
  });
  const canonical: Query = { ...query, page };
  return {
    address: writeAddress(canonical),
    total: plan.total,
    matched,
    page,
    pages,
    pageSize: size,
    sort: sort?.key ?? null,
    items: pageOf(index, all, sort, (page - 1) * size, size).map((post) =>
      itemOf(index, plan.shown, index.posts[post]!),
    ),
    facets,
    notices: said,
    ways: matched === 0 ? waysOut(canonical, active, others) : [],
  };
}

/** How many posts match, and nothing else. */
export function countMatched(index: PostIndex, query: Query): number {
  const { lens } = query;
  let bits = planOf(index, lens).scope;
  for (const facet of lens.facets) {
    const selection = query.selections[facet.key];
    if (selection) bits = andBits(bits, passing(index, facet, selection));
  }
  return countBits(bits);
}

/** A facet whose counts are taken with its own selection applied. */
function isAll(facet: Facet): boolean {
  return !isSwitch(facet) && facet.match === 'all' && !isSingle(facet);
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

function planOf(index: PostIndex, lens: Lens): Plan {
  let byLens = plans.get(index);
  if (!byLens) plans.set(index, (byLens = new WeakMap()));
  let plan = byLens.get(lens);
  if (!plan) {
    const scope = scopeOf(index, lens);
    const facets: Plan['facets'] = new Map();
    for (const facet of lens.facets) {
      const column = index.column(facet.field);
      const scopeCounts = countScope(column, scope, index.size);
      facets.set(facet, { column, scopeCounts, shown: isSwitch(facet) ? null : shownTerms(facet, column) });
    }
    byLens.set(lens, (plan = { scope, total: countBits(scope), shown: shownFields(index, lens), facets }));
  }
  return plan;
}

function facetAnswer(
  index: PostIndex,
  plan: Plan,
  facet: Facet,
  selection: Selection | undefined,
  under: Bits,
): FacetAnswer {
  const { column, scopeCounts, shown } = plan.facets.get(facet)!;
  const counts = countTerms(column, under, plan.scope, scopeCounts);
  const label = facet.label || index.field(facet.field)?.label || facet.key;
  const { key, kind, visible } = facet;
  if (kind === 'switch') return switchAnswer(facet, label, selection, column, counts);
  const selected = selectedTerms(selection);
  const chosen = new Set(selected.map((slug) => column.numbers.get(slug)!));
  return { key, kind, label, visible, selected, options: drawOptions(facet, column, shown!, counts, chosen) };
}

function switchAnswer(
  facet: SwitchFacet,
  label: string,
  selection: Selection | undefined,
  column: TermColumn,
  counts: Uint32Array,
): FacetAnswer {
  const selected = selection?.type === 'switch' ? (selection.on ? 'yes' : 'no') : null;
  const options = (['yes', 'no'] as const).map((value): Option => {
    const number = column.numbers.get(value);
    return {
      value,
      label: number === undefined ? value : column.terms[number]!.label,
      count: number === undefined ? 0 : counts[number]!,
      selected: selected === value,
      partly: false,
      parent: null,
      depth: 0,
    };
  });
  return { key: facet.key, kind: 'switch', label, visible: facet.visible, selected, options };
}

function selectedTerms(selection: Selection | undefined): string[] {
  if (selection?.type === 'terms') return selection.terms.slice(0, maxValues);
  return selection?.type === 'term' ? [selection.term] : [];
}

/** The nearest ways out of an empty answer: each active facet lifted alone, most results first. */
function waysOut(query: Query, active: readonly Facet[], others: readonly Bits[]): Way[] {
  return active
    .map((facet, i): Way => {
      const { [facet.key]: _lifted, ...selections } = query.selections;
      return {
        without: facet.key,
        matched: countBits(others[i]!),
        address: writeAddress({ ...query, selections, page: 1 }),
      };
    })
    .filter((way) => way.matched > 0)
    .sort((a, b) => b.matched - a.matched);
}
