import type { SortKey } from '../engine/store/order.js';
import { kindOf } from '../kinds/kinds.js';
import { defaultSort, type Lens, type SortOption } from './lens.js';
import type { Query } from './query.js';

/**
 * The sort option in use: the one the address names; without one, relevance while there is a search and the lens wants
 * it so; else the default. Null: newest first.
 */
export function sortOf(query: Pick<Query, 'lens' | 'selections' | 'sort'>): SortOption | null {
  const { options, relevanceWhenSearching } = query.lens.sort;
  const named = options.find((option) => option.key === query.sort);
  if (named) return named;
  return relevanceWhenSearching && isSearching(query) ? relevanceOf(query.lens) : defaultSort(query.lens);
}

function isSearching({ lens, selections }: Pick<Query, 'lens' | 'selections'>): boolean {
  return lens.facets.some((facet) => kindOf(facet).finding !== undefined && selections[facet.key] !== undefined);
}

/** What an option by a field puts posts in order by, the first first. */
export function sortKeysOf({ field, order, then }: SortOption): SortKey[] {
  return [{ field, order }, ...then];
}

/** Whether a visitor has chosen an order, or searches and gets the best matches first. */
export function isOwnOrder(query: Pick<Query, 'lens' | 'selections' | 'sort'>): boolean {
  const sort = sortOf(query);
  return sort !== defaultSort(query.lens) || (sort?.by === 'relevance' && isSearching(query));
}

/** The lens's own relevance option, or one that stands in for it: a search is by relevance without being told. */
function relevanceOf(lens: Lens): SortOption {
  const own = lens.sort.options.find((option) => option.by === 'relevance');
  return own ?? { key: 'relevance', label: '', by: 'relevance', field: '', order: 'desc', aliases: [], then: [] };
}
