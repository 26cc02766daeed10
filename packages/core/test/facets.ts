import type { Facet, FacetOf } from '../src/kinds/kinds.js';

/*
 * What the slow, obvious answer tells facets apart by. Written out here, so that it leans on nothing that it checks.
 */

export type SearchFacet = FacetOf<'search'>;
export type SwitchFacet = FacetOf<'switch'>;
export type RangeFacet = FacetOf<'date-range'> | FacetOf<'time-range'> | FacetOf<'number-range'>;
export type TermFacet = Extract<Facet, { match: unknown }>;

export const isSearch = (facet: Facet): facet is SearchFacet => facet.kind === 'search';
export const isSwitch = (facet: Facet): facet is SwitchFacet => facet.kind === 'switch';
export const isFavourites = (facet: Facet): facet is FacetOf<'favourites'> => facet.kind === 'favourites';
export const isRange = (facet: Facet): facet is RangeFacet =>
  facet.kind === 'date-range' || facet.kind === 'time-range' || facet.kind === 'number-range';
export const isTerms = (facet: Facet): facet is TermFacet => 'match' in facet;
export const isLetters = (facet: Facet): facet is FacetOf<'letters'> => facet.kind === 'letters';
export const isSteps = (facet: Facet): facet is FacetOf<'steps'> => facet.kind === 'steps';
export const isSingle = (facet: Facet): boolean =>
  facet.kind === 'radios' || facet.kind === 'steps' || ('single' in facet && facet.single);
