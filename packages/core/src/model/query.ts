import type { Lens } from './lens.js';

/** What is chosen in one facet. Facets with nothing chosen have no entry in a query. */
export type Selection =
  | { type: 'terms'; terms: string[] }
  | { type: 'term'; term: string }
  | { type: 'switch'; on: boolean }
  | { type: 'search'; text: string }
  /** Ids in ascending code units. */
  | { type: 'posts'; ids: string[] }
  /** Calendar days `YYYY-MM-DD`, both included; null is an open end. Never both null. */
  | { type: 'days'; from: string | null; to: string | null }
  | { type: 'numbers'; from: number | null; to: number | null };

/** A question to an index: plain data, the same for every executor. */
export interface Query {
  lens: Lens;
  /** By facet key. Terms are slugs in ascending code units, none the ancestor of another. */
  selections: Record<string, Selection>;
  /** Key of a sort option; null for the lens's own choice. */
  sort: string | null;
  /** From 1. May lie past the end: the answer says where it ended up. */
  page: number;
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

export const noticeCodes = [
  'unknown-term',
  'unknown-post',
  'unknown-sort',
  'single-choice',
  'page-clamped',
  'too-many',
  'too-long',
  'moved',
  'bad-switch',
  'bad-date',
  'bad-number',
  'range-reversed',
  'respelled',
] as const;
export type NoticeCode = (typeof noticeCodes)[number];

/** Something the address said that was not taken as it stood. */
export interface Notice {
  code: NoticeCode;
  /** Key of the facet it is about. */
  facet?: string;
  value?: string;
  /** One sentence for people. */
  text: string;
}
