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
  /** The options while nothing that is hidden is chosen and no zero count hides one. */
  places: Places;
  /** By term: its place among all by label. */
  byLabel: Uint32Array;
  /** Options drawn before with nothing chosen, by the counts laid over them. */
  drawn: WeakMap<Uint32Array, Option[]>;
}

export function shownTerms(facet: TermFacet, column: TermColumn): ShownTerms {
  const only = new Set(facet.only);
  const hide = new Set(facet.hide);
  const labels = column.terms.map((term) =>
    Object.hasOwn(facet.labels, term.slug) ? facet.labels[term.slug]! : term.label,
  );
  const shown = new Uint8Array(column.terms.length);
  const depths = new Uint8Array(column.terms.length);
  const levels = (facet.kind === 'tree' ? facet.levels : undefined) ?? Infinity;
  const branchHidden = new Uint8Array(column.terms.length);
  column.terms.forEach((term, t) => {
    const parent = column.parents[t]!;
    // a hidden term takes its branch with it: its children would otherwise stand there without their heading
    branchHidden[t] = hide.has(term.slug) || term.hidden || (parent >= 0 && branchHidden[parent]) ? 1 : 0;
    depths[t] = parent < 0 ? 0 : depths[parent]! + 1;
    shown[t] = !branchHidden[t] && depths[t] < levels && (only.size === 0 || only.has(term.slug)) ? 1 : 0;
  });
  const byLabel = labelPlaces(labels, column);
  const compare = facet.order === 'label' ? (a: number, b: number) => byLabel[a]! - byLabel[b]! : undefined;
  const terms = sortTree(column, compare);
  const places = placesOf(column, terms, labels, (t) => shown[t] === 1);
  return { terms, labels, shown, places, byLabel, drawn: new WeakMap() };
}

/** What stays the same of some options from query to query. */
interface Places {
  /** Their term numbers, in order. */
  terms: Uint32Array;
  /** By term: its place among them; -1 where it is not there. */
  at: Int32Array;
  /** The options as they are while nothing has them: most terms of most answers. Shared by all answers. */
  zeros: Option[];
  /** Likewise with counts from 1 to `fewest`, each made when it is first wanted: most of the rest. */
  few: (Option | undefined)[];
}

/** Counts up to which options are kept. */
const fewest = 7;

/**
 * Lays a query's counts and choices over the shown terms.
 * @param keep  whether these very counts will come again
 */
export function drawOptions(
  facet: TermFacet,
  column: TermColumn,
  shownOf: ShownTerms,
  counts: Uint32Array,
  chosen: ReadonlySet<number>,
  keep: boolean,
): Option[] {
  const partly = new Set<number>();
  for (const term of chosen) {
    for (let t = column.parents[term]!; t >= 0; t = column.parents[t]!) partly.add(t);
  }
  const isPlain = keep && chosen.size === 0;
  const drawn = isPlain ? shownOf.drawn.get(counts) : undefined;
  if (drawn) return drawn;
  const { terms, zeros, few, at } = placesFor(facet, column, shownOf, counts, chosen, partly);
  const options = zeros.slice();
  for (let i = 0; i < options.length; i++) {
    const count = counts[terms[i]!]!;
    if (count > fewest) {
      options[i] = counted(zeros[i]!, count);
    } else if (count !== 0) {
      const place = i * fewest + count - 1;
      options[i] = few[place] ??= counted(zeros[i]!, count);
    }
  }
  // few are chosen: they are drawn over, so that the loop need not ask of each
  for (const term of partly) if (at[term]! >= 0) options[at[term]!] = { ...options[at[term]!]!, partly: true };
  for (const term of chosen) {
    if (at[term]! >= 0) options[at[term]!] = { ...options[at[term]!]!, selected: true, partly: false };
  }
  if (isPlain) shownOf.drawn.set(counts, options);
  return options;
}

function counted({ value, label, parent, depth }: Option, count: number): Option {
  return plainOption(value, label, count, parent, depth);
}

function plainOption(value: string, label: string, count: number, parent: string | null, depth: number): Option {
  return { value, label, count, selected: false, partly: false, parent, depth };
}

/** Which options there are, in their order. Only what the counts or the choice change is worked out anew. */
function placesFor(
  facet: TermFacet,
  column: TermColumn,
  shownOf: ShownTerms,
  counts: Uint32Array,
  chosen: ReadonlySet<number>,
  partly: ReadonlySet<number>,
): Places {
  const chosenShown = [...chosen].every((term) => shownOf.shown[term]);
  if (chosenShown && facet.zero !== 'hide' && facet.order !== 'count') return shownOf.places;
  const isThere = (t: number) =>
    chosen.has(t) || (shownOf.shown[t] === 1 && (facet.zero !== 'hide' || counts[t]! > 0 || partly.has(t)));
  const order = facet.order === 'count' ? sortTree(column, byCount(counts, shownOf.byLabel)) : shownOf.terms;
  return placesOf(column, order, shownOf.labels, isThere);
}

/** The options of some terms, each under its nearest ancestor that is there too. */
function placesOf(
  column: TermColumn,
  order: readonly number[],
  labels: readonly string[],
  isThere: (term: number) => boolean,
): Places {
  const depths = new Uint8Array(column.terms.length);
  const terms: number[] = [];
  const zeros: Option[] = [];
  for (const term of order) {
    if (!isThere(term)) continue;
    let parent = column.parents[term]!;
    while (parent >= 0 && !isThere(parent)) parent = column.parents[parent]!;
    const depth = parent < 0 ? 0 : depths[parent]! + 1;
    depths[term] = depth;
    const above = parent < 0 ? null : column.terms[parent]!.slug;
    const value = column.terms[term]!.slug;
    terms.push(term);
    zeros.push(plainOption(value, labels[term]!, 0, above, depth));
  }
  const at = new Int32Array(column.terms.length).fill(-1);
  for (let i = 0; i < terms.length; i++) at[terms[i]!] = i;
  const few = new Array<undefined>(zeros.length * fewest).fill(undefined);
  return { terms: Uint32Array.from(terms), at, zeros, few };
}

function byCount(counts: Uint32Array, byLabel: Uint32Array): (a: number, b: number) => number {
  return (a, b) => counts[b]! - counts[a]! || byLabel[a]! - byLabel[b]!;
}

/** Each term's place by label as a reader sorts: folded, figures by their value; slugs break ties. */
function labelPlaces(labels: readonly string[], column: TermColumn): Uint32Array {
  const folded = labels.map(fold);
  const sorted = folded.map((_, t) => t);
  sorted.sort(
    (a, b) => compareNatural(folded[a]!, folded[b]!) || byCodeUnits(column.terms[a]!.slug, column.terms[b]!.slug),
  );
  const places = new Uint32Array(sorted.length);
  for (let i = 0; i < sorted.length; i++) places[sorted[i]!] = i;
  return places;
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
