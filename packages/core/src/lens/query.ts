import type { Selection } from '../model/selection.js';
import type { Lens } from './lens.js';

/** A question to an index: plain data, the same for every executor. */
export interface Query {
  lens: Lens;
  /** By facet key. Terms are slugs in ascending code units, none the ancestor of another. */
  selections: Record<string, Selection>;
  /** Key of a sort option; null for the lens's own choice. */
  sort: string | null;
  /** From 1. May lie past the end: the answer says where it ended up. */
  page: number;
  /** Posts a page, as a visitor chose; absent for the lens's own. */
  size?: number;
  /**
   * The first page wanted, where the lens's pages stand below one another: those up to `page` come with it. Absent: `page`
   * alone.
   */
  from?: number;
  /** What a shuffle is stable for: a visitor's day. */
  seed?: string;
}

/** What is chosen in each facet of a query, in the lens's order: to look each up by its key again and again is dear. */
export function selectionsOf({ lens, selections }: Pick<Query, 'lens' | 'selections'>): (Selection | undefined)[] {
  const places = placesOf(lens);
  const found: (Selection | undefined)[] = [];
  for (let i = 0; i < lens.facets.length; i++) found.push(undefined);
  // few facets have a choice, and to ask for one that is not there takes longest
  for (const key of Object.keys(selections)) {
    const place = places.get(key);
    if (place !== undefined) found[place] = selections[key];
  }
  return found;
}

const places = new WeakMap<Lens['facets'], Map<string, number>>();

/** By key: the place of a facet in a lens. */
function placesOf({ facets }: Lens): Map<string, number> {
  let known = places.get(facets);
  if (!known) places.set(facets, (known = new Map(facets.map(({ key }, i) => [key, i]))));
  return known;
}
