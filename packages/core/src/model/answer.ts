import type { TermFacet } from './lens.js';
import type { Notice } from './query.js';

export interface TermValue {
  slug: string;
  label: string;
}

export type ItemValue = string | number | boolean | TermValue[];

export interface Item {
  id: string;
  title: string;
  link: string | null;
  fields: Record<string, ItemValue>;
  /** With a search: where in the text of a field something matched, as [start, end) in UTF-16 units. */
  marks?: Record<string, [number, number][]>;
}

export interface Option {
  value: string;
  label: string;
  count: number;
  selected: boolean;
  /** Not chosen itself, but something below it is. */
  partly: boolean;
  /** The nearest shown term above, null at the top. */
  parent: string | null;
  depth: number;
}

export interface TermFacetAnswer {
  key: string;
  kind: TermFacet['kind'];
  label: string;
  /** False: not drawn for visitors, though its address still counts. */
  visible: boolean;
  selected: string[];
  /** What may be chosen, depth first in the facet's order. */
  options: Option[];
  /** Terms that are shown but not among the options, where there are too many: they are found by typing. */
  more?: number;
}

export interface SwitchFacetAnswer {
  key: string;
  kind: 'switch';
  label: string;
  visible: boolean;
  selected: 'yes' | 'no' | null;
  options: Option[];
}

export interface SearchFacetAnswer {
  key: string;
  kind: 'search';
  label: string;
  visible: boolean;
  selected: string | null;
}

/** One step of a histogram; both ends belong to it. */
export interface Bucket<V> {
  from: V;
  to: V;
  count: number;
}

interface RangeAnswer<K, V> {
  key: string;
  kind: K;
  label: string;
  visible: boolean;
  selected: { from: V | null; to: V | null } | null;
  /** Least and greatest value under every other facet; null when there is none. */
  bounds: { from: V; to: V } | null;
  buckets: Bucket<V>[];
}

export type DateFacetAnswer = RangeAnswer<'date-range', string>;
export type NumberFacetAnswer = RangeAnswer<'number-range', number>;

export interface FavouritesFacetAnswer {
  key: string;
  kind: 'favourites';
  label: string;
  visible: boolean;
  /** Ids of the posts. */
  selected: string[];
}

export type FacetAnswer =
  TermFacetAnswer | SwitchFacetAnswer | SearchFacetAnswer | DateFacetAnswer | NumberFacetAnswer | FavouritesFacetAnswer;

/** A way out of an empty answer: what lifting one facet gives. */
export interface Way {
  without: string;
  matched: number;
  address: string;
}

/** The whole answer to a query: everything a page needs to draw itself. Exact. */
export interface Answer {
  /** Canonical, the lens's own parameters only; '' when nothing is chosen. */
  address: string;
  total: number;
  matched: number;
  page: number;
  pages: number;
  pageSize: number;
  sort: string | null;
  items: Item[];
  facets: FacetAnswer[];
  notices: Notice[];
  ways: Way[];
}
