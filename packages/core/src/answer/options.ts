import type { TermColumn } from '../index/term-column.js';
import type { Option } from '../model/answer.js';
import type { TermFacet } from '../model/lens.js';
import { byCodeUnits, fold } from '../text/slug.js';

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
}

export function shownTerms(facet: TermFacet, column: TermColumn): ShownTerms {
  const only = new Set(facet.only);
  const hide = new Set(facet.hide);
  const labels = column.terms.map((term) =>
    Object.hasOwn(facet.labels, term.slug) ? facet.labels[term.slug]! : term.label,
  );
  const shown = new Uint8Array(column.terms.length);
  const branchHidden = new Uint8Array(column.terms.length);
  column.terms.forEach((term, t) => {
    const parent = column.parents[t]!;
    // a hidden term takes its branch with it: its children would otherwise stand there without their heading
    branchHidden[t] = hide.has(term.slug) || term.hidden || (parent >= 0 && branchHidden[parent]) ? 1 : 0;
    shown[t] = !branchHidden[t] && (only.size === 0 || only.has(term.slug)) ? 1 : 0;
  });
  const compare = facet.order === 'label' ? byLabel(labels, column) : undefined;
  return { terms: sortTree(column, compare), labels, shown };
}

/** Lays a query's counts and choices over the shown terms. */
export function drawOptions(
  facet: TermFacet,
  column: TermColumn,
  shownOf: ShownTerms,
  counts: Uint32Array,
  chosen: ReadonlySet<number>,
): Option[] {
  const partly = new Set<number>();
  for (const term of chosen) {
    for (let t = column.parents[term]!; t >= 0; t = column.parents[t]!) partly.add(t);
  }
  const order =
    facet.order === 'count'
      ? sortTree(column, (a, b) => counts[b]! - counts[a]! || byLabel(shownOf.labels, column)(a, b))
      : shownOf.terms;
  const present = new Uint8Array(column.terms.length);
  const depths = new Uint8Array(column.terms.length);
  const options: Option[] = [];
  for (const t of order) {
    const gone = !shownOf.shown[t] || (facet.zero === 'hide' && counts[t] === 0 && !partly.has(t));
    if (gone && !chosen.has(t)) continue;
    present[t] = 1;
    let parent = column.parents[t]!;
    while (parent >= 0 && !present[parent]) parent = column.parents[parent]!;
    depths[t] = parent < 0 ? 0 : depths[parent]! + 1;
    options.push({
      value: column.terms[t]!.slug,
      label: shownOf.labels[t]!,
      count: counts[t]!,
      selected: chosen.has(t),
      partly: partly.has(t) && !chosen.has(t),
      parent: parent < 0 ? null : column.terms[parent]!.slug,
      depth: depths[t],
    });
  }
  return options;
}

/** By label as a reader sorts: folded, figures by their value; slugs break ties. */
function byLabel(labels: readonly string[], column: TermColumn): (a: number, b: number) => number {
  return (a, b) =>
    compareNatural(fold(labels[a]!), fold(labels[b]!)) || byCodeUnits(column.terms[a]!.slug, column.terms[b]!.slug);
}

/** Compares text so that `plot 9` stands before `plot 10`. Code units otherwise: the same on every executor. */
function compareNatural(a: string, b: string): number {
  const pieces = /\d+|\D+/g;
  const x = a.match(pieces) ?? [];
  const y = b.match(pieces) ?? [];
  for (let i = 0; i < Math.min(x.length, y.length); i++) {
    const bothNumbers = /^\d/.test(x[i]!) && /^\d/.test(y[i]!);
    const order = bothNumbers ? Number(x[i]) - Number(y[i]) || byCodeUnits(x[i]!, y[i]!) : byCodeUnits(x[i]!, y[i]!);
    if (order !== 0) return order;
  }
  return x.length - y.length;
}

/** Term numbers depth first, siblings by `compare` (given order without). */
function sortTree(column: TermColumn, compare?: (a: number, b: number) => number): readonly number[] {
  const all = Array.from(column.terms, (_, t) => t);
  if (!compare) return all;
  const below = new Map<number, number[]>();
  for (const t of all) {
    const siblings = below.get(column.parents[t]!);
    if (siblings) siblings.push(t);
    else below.set(column.parents[t]!, [t]);
  }
  const sorted: number[] = [];
  const visit = (parent: number) => {
    for (const t of (below.get(parent) ?? []).sort(compare)) {
      sorted.push(t);
      visit(t);
    }
  };
  visit(-1);
  return sorted;
}
