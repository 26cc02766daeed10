import type { Counted } from '../../engine/index/counting.js';
import type { TermColumn } from '../../engine/columns/term-column.js';
import { packCounts, type CompactCounts, type FacetFrame } from '../../model/compact.js';
import { slugsOf, type Selection } from '../../model/selection.js';
import type { FacetPlan } from '../kind.js';
import type { Showing } from './config.js';
import { placesOf } from './options.js';
import type { Places, ShownTerms } from './shown.js';
import { sortTree } from './term-order.js';

/**
 * What of a facet's options stays the same; null where there are too many to be held by any answer.
 * @param of  what the list of its terms is called
 */
export function frameOfTerms(of: string, showing: Showing, { terms, shown }: FacetPlan): FacetFrame | null {
  const column = terms!;
  const places = framePlaces(showing, column, shown!);
  if (!places) return null;
  const parents = places.zeros.map(({ parent }) => (parent === null ? -1 : places.at[column.numbers.get(parent)!]!));
  const labels: Record<number, string> = {};
  places.zeros.forEach(({ label }, place) => {
    if (label !== column.terms[places.terms[place]!]!.label) labels[place] = label;
  });
  return {
    of,
    terms: places.isNumbered ? null : [...places.terms],
    parents: parents.every((parent) => parent < 0) ? null : parents,
    labels,
    byCount: showing.order === 'count',
    hidesZero: showing.zero === 'hide',
  };
}

/** The counts of those options; null where something is chosen that is not among them. */
export function compactTerms(
  showing: Showing,
  { terms, shown }: FacetPlan,
  selection: Selection | undefined,
  chosen: readonly number[],
  under: Counted,
): CompactCounts | null {
  const places = framePlaces(showing, terms!, shown!);
  if (!places || chosen.some((term) => places.at[term]! < 0)) return null;
  const selected = selection ? [...slugsOf(selection)] : [];
  // of what an address chose that is no term any more nothing is known here
  if (selected.length !== chosen.length) return null;
  const { values, first } = under.countsOf(terms!);
  return { selected, counts: packCounts(places.terms.length, (place) => values[first + places.terms[place]!]!) };
}

const byShown = new WeakMap<ShownTerms, Places | null>();

/** The shown terms as a frame lists them. */
function framePlaces({ order }: Showing, column: TermColumn, shown: ShownTerms): Places | null {
  if (shown.isMany) return null;
  if (order !== 'count') return shown.places;
  let places = byShown.get(shown);
  if (places === undefined) {
    // what is not shown is counted too, and its place among its siblings is that of all below it
    const isWhole = column.parents.every(
      (parent, t) => shown.shown[t] !== 1 || parent < 0 || shown.shown[parent] === 1,
    );
    const byLabel = sortTree(column.parents, (a, b) => shown.byLabel[a]! - shown.byLabel[b]!);
    places = isWhole ? placesOf(column, byLabel, shown.labels, (term) => shown.shown[term] === 1) : null;
    byShown.set(shown, places);
  }
  return places;
}
