import type { FacetKind } from './lens.js';
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
  kind: Exclude<FacetKind, 'switch'>;
  label: string;
  /** False: not drawn for visitors, though its address still counts. */
  visible: boolean;
  selected: string[];
  options: Option[];
}

export interface SwitchFacetAnswer {
  key: string;
  kind: 'switch';
  label: string;
  visible: boolean;
  selected: 'yes' | 'no' | null;
  options: Option[];
}

export type FacetAnswer = TermFacetAnswer | SwitchFacetAnswer;

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
