import type { Facet } from '../kinds/kinds.js';
import { sizesOf } from '../paging/paging.js';
import type { Lens } from './lens.js';

/** A name that stands in addresses of a lens. */
export interface AddressName {
  name: string;
  /** Where in the config it is written. */
  pointer: string;
  /** The facet that goes by it; null for the lens's own. */
  facet: Facet | null;
}

/**
 * All names of a lens's addresses, without its prefix: its own, those of its facets, and those that facets had before.
 * No two may be the same.
 */
export function addressNames(lens: Lens): AddressName[] {
  const { address, facets, paging } = lens;
  const own = sizesOf(paging).length > 0 ? (['sort', 'page', 'size'] as const) : (['sort', 'page'] as const);
  return [
    ...own.map((part) => ({ name: address[part], pointer: `/address/${part}`, facet: null })),
    ...facets.map((facet, i) => ({ name: facet.key, pointer: `/facets/${i}/key`, facet })),
    ...facets.flatMap((facet, i) =>
      facet.aliases.map((name, a) => ({ name, pointer: `/facets/${i}/aliases/${a}`, facet })),
    ),
  ];
}
