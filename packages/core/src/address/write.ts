import { isSwitch } from '../model/lens.js';
import type { Query, Selection } from '../model/query.js';
import { sortOf } from '../model/sort.js';
import { encodePart } from './parameters.js';
import { either } from './read.js';

/**
 * Writes the canonical address of a query: facets in the lens's order, then sort, then page. Defaults are left
 * out, so a query with nothing chosen gives ''. Parameters that are not the lens's are the caller's to keep.
 * @param without  key of a facet whose choice is lifted, which leads to the first page
 */
export function writeAddress(query: Query, without: string | null = null): string {
  const { lens } = query;
  const { prefix } = lens.address;
  const parts: string[] = [];
  const add = (name: string, value: string) => parts.push(`${encodePart(prefix + name)}=${value}`);
  for (const facet of lens.facets) {
    const selection = facet.key === without ? undefined : query.selections[facet.key];
    if (isSwitch(facet) && facet.start !== either) {
      const chosen = selection ? writeSelection(selection) : either;
      if (chosen !== facet.start) add(facet.key, chosen);
    } else if (selection) add(facet.key, writeSelection(selection));
  }
  if (query.sort !== null && query.sort !== sortOf({ ...query, sort: null })?.key)
    add(lens.address.sort, encodePart(query.sort));
  if (query.page > 1 && without === null) add(lens.address.page, String(query.page));
  return parts.join('&');
}

function writeSelection(selection: Selection): string {
  switch (selection.type) {
    case 'terms':
      return selection.terms.map(encodePart).join(',');
    case 'posts':
      return selection.ids.map(encodePart).join(',');
    case 'term':
      return encodePart(selection.term);
    case 'switch':
      return selection.on ? 'yes' : 'no';
    case 'search':
      return encodePart(selection.text);
    case 'days':
    case 'numbers':
      return `${selection.from ?? '..'}/${selection.to ?? '..'}`;
  }
}
