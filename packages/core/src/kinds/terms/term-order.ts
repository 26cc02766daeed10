import { sortInSteps } from '../../engine/base/sorting.js';
import { finished, inParts, type Steps } from '../../engine/base/steps.js';
import type { TermColumn } from '../../engine/columns/term-column.js';
import type { Showing } from './config.js';
import { byCodeUnits, fold } from '../../text/slug.js';

type Compare = (a: number, b: number) => number;

/** Most posts first; ties by label. */
export function byCount(counts: ArrayLike<number>, byLabel: Uint32Array): Compare {
  return (a, b) => counts[b]! - counts[a]! || byLabel[a]! - byLabel[b]!;
}

/** As a lens lists them; those it does not list come after, as given. */
export function bySequence(terms: readonly { slug: string; was?: string[] }[], sequence: readonly string[]): Compare {
  const places = new Map(sequence.map((slug, i) => [slug, i]));
  const placeOf = terms.map(
    ({ slug, was }) =>
      [slug, ...(was ?? [])].map((one) => places.get(one)).find((at) => at !== undefined) ?? sequence.length,
  );
  return (a, b) => placeOf[a]! - placeOf[b]! || a - b;
}

/** Each term's place by label as a reader sorts: folded, figures by their value; slugs break ties. */
export function* labelPlaces(terms: readonly { slug: string }[], labels: readonly string[]): Steps<Uint32Array> {
  const pieces: (readonly string[])[] = new Array<readonly string[]>(labels.length);
  yield* inParts(labels.length, foldedInAStep, (from, to) => {
    for (let t = from; t < to; t++) pieces[t] = piecesOf(fold(labels[t]!));
  });
  const sorted = new Uint32Array(labels.length);
  for (let t = 0; t < sorted.length; t++) sorted[t] = t;
  yield* sortInSteps(
    sorted,
    (a, b) => compareNatural(pieces[a]!, pieces[b]!) || byCodeUnits(terms[a]!.slug, terms[b]!.slug),
  );
  const places = new Uint32Array(sorted.length);
  for (let i = 0; i < sorted.length; i++) places[sorted[i]!] = i;
  return places;
}

const foldedInAStep = 2000;

const placesOfColumns = new WeakMap<TermColumn, Uint32Array>();

/** The same for a facet over a column, kept where the facet has no labels of its own. */
export function labelPlacesOf(facet: Showing, column: TermColumn, labels: readonly string[]): Uint32Array {
  if (hasOwnLabels(facet)) return finished(labelPlaces(column.terms, labels));
  return placesOfColumns.get(column) ?? finished(prepareLabelPlaces(facet, column));
}

/** Prepares what `labelPlacesOf` asks for. */
export function* prepareLabelPlaces(facet: Showing, column: TermColumn): Steps<Uint32Array> {
  const labels = column.terms.map((term) => term.label);
  const places = placesOfColumns.get(column) ?? (yield* labelPlaces(column.terms, labels));
  if (!hasOwnLabels(facet)) placesOfColumns.set(column, places);
  return places;
}

function hasOwnLabels({ labels }: Showing): boolean {
  return Object.keys(labels).length > 0;
}

/** A text as runs of figures and of anything else, by turns. */
function piecesOf(text: string): readonly string[] {
  return /\d/.test(text) ? text.match(/\d+|\D+/g)! : [text];
}

/** Compares text so that `plot 9` stands before `plot 10`. Code units otherwise: the same on every executor. */
function compareNatural(x: readonly string[], y: readonly string[]): number {
  for (let i = 0; i < Math.min(x.length, y.length); i++) {
    const bothNumbers = /^\d/.test(x[i]!) && /^\d/.test(y[i]!);
    const order = bothNumbers ? Number(x[i]) - Number(y[i]) || byCodeUnits(x[i]!, y[i]!) : byCodeUnits(x[i]!, y[i]!);
    if (order !== 0) return order;
  }
  return x.length - y.length;
}

/**
 * Term numbers depth first, siblings by `compare` (given order without).
 * @param parents  number of the term above each; -1 at the top
 */
export function sortTree(parents: Int32Array, compare?: Compare): readonly number[] {
  const all = Array.from(parents, (_, t) => t);
  if (!compare) return all;
  const below = new Map<number, number[]>();
  for (const t of all) {
    const siblings = below.get(parents[t]!);
    if (siblings) siblings.push(t);
    else below.set(parents[t]!, [t]);
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

/** A term as a list of them is told to whoever works on a lens. */
interface ListedTerm {
  slug: string;
  label: string;
  parent: string | null;
  count: number;
}

/**
 * Terms in the order a facet shows them in over all posts, hidden ones included.
 * @param terms  depth first, as given
 */
export function arrangeTerms<T extends ListedTerm>(
  { order, sequence, labels }: Pick<Showing, 'order' | 'sequence' | 'labels'>,
  terms: readonly T[],
): T[] {
  const numbers = new Map(terms.map(({ slug }, t) => [slug, t]));
  const parents = Int32Array.from(terms, ({ parent }) => (parent === null ? -1 : (numbers.get(parent) ?? -1)));
  const shown = terms.map(({ slug, label }) => (Object.hasOwn(labels, slug) ? labels[slug]! : label));
  const byLabel = finished(labelPlaces(terms, shown));
  const compare = {
    given: bySequence(terms, sequence),
    label: (a: number, b: number) => byLabel[a]! - byLabel[b]!,
    count: byCount(
      terms.map(({ count }) => count),
      byLabel,
    ),
  }[order];
  return sortTree(parents, compare).map((t) => terms[t]!);
}
