import { variant, type Shape, type TypeOf } from '../shape/shape.js';
import { buttons } from './buttons/buttons.js';
import { checkboxes } from './checkboxes/checkboxes.js';
import type { CommonConfig } from './common.js';
import { dateRange } from './date-range/date-range.js';
import { dropdown } from './dropdown/dropdown.js';
import { favourites } from './favourites/favourites.js';
import type { FacetKind as AnyKind } from './kind.js';
import { letters } from './letters/letters.js';
import { numberRange } from './number-range/number-range.js';
import { radios } from './radios/radios.js';
import { searchKind } from './search/search.js';
import { steps } from './steps/steps.js';
import { switchKind } from './switch/switch.js';
import { timeRange } from './time-range/time-range.js';
import { tree } from './tree/tree.js';

/** Every kind of facet by its name. All that depends on which kinds there are is derived from here. */
export const kinds = {
  checkboxes,
  radios,
  dropdown,
  buttons,
  tree,
  steps,
  letters,
  switch: switchKind,
  search: searchKind,
  'date-range': dateRange,
  'time-range': timeRange,
  'number-range': numberRange,
  favourites,
};

type Kinds = typeof kinds;

/** The name of a kind. */
export type FacetKind = keyof Kinds;

type ConfigOf<K extends FacetKind> = TypeOf<Kinds[K]['shape']> & { kind: K };
/** A facet of a lens: what its kind's shape says, with every default filled in. */
export type Facet = { [K in FacetKind]: ConfigOf<K> }[FacetKind];
export type FacetOf<K extends FacetKind> = ConfigOf<K>;

/** A facet that lists the terms of a field, and whose list can be arranged. */
export type TermFacet = Extract<Facet, { only: string[] }>;

/** Whether a facet's list of terms can be arranged. */
export function arrangesTerms(facet: Facet): facet is TermFacet {
  return 'only' in facet;
}

/** What an answer holds of a facet. */
export type FacetAnswer = { [K in FacetKind]: ReturnType<Kinds[K]['answer']> }[FacetKind];

type UnionToIntersection<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer I) => void ? I : never;
/** What pages need to know of facets besides what all have: each only of its kind. */
export type OwnSettings = Partial<
  UnionToIntersection<{ [K in FacetKind]: ReturnType<Kinds[K]['settings']> }[FacetKind]>
>;

export const facetKinds = Object.keys(kinds) as readonly FacetKind[];

/** The kind of a facet, asked as one that could be any. */
export function kindOf(facet: CommonConfig): AnyKind<Facet, FacetAnswer> {
  return kinds[facet.kind as FacetKind] as unknown as AnyKind<Facet, FacetAnswer>;
}

/** A facet as configs have it. */
export const facetShape = variant(
  'kind',
  Object.fromEntries(facetKinds.map((kind) => [kind, kinds[kind].shape])) as { [K in FacetKind]: Kinds[K]['shape'] },
) as unknown as Shape<Facet>;
