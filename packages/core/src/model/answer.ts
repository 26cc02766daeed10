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

/** What an answer holds of every facet, whatever its kind. */
export interface AnswerHead {
  key: string;
  kind: string;
  label: string;
  /** False: not drawn for visitors, though its address still counts. */
  visible: boolean;
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

/** One step of a histogram; both ends belong to it. */
export interface Bucket<V> {
  from: V;
  to: V;
  count: number;
}

/** A way out of an empty answer: what leaving some facets out gives, or taking another term in one. */
export interface Way {
  /** The first of those it leaves out. */
  without: string;
  /** Keys of the facets it leaves out. */
  lifts: string[];
  matched: number;
  address: string;
  /** Instead of being left out, a facet gets another term in the place of one. */
  instead?: { facet: string; value: string; for: string };
}
