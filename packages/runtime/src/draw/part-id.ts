import { toggle, type FacetView, type OptionView } from '@ivy/view';
import type { Listing } from '../listing/listing.js';

/** An id for a part of a facet, the same on every drawing and apart from other facets' and other listings' on the page. */
export function partId(listing: Listing, facet: { name: string }, part: string): string {
  return `ivy-${listing.id}-${encodeURIComponent(facet.name)}-${part}`;
}

/** Chooses an option, or lets it go. */
export function pickOption(listing: Listing, facet: FacetView, { value }: OptionView, single: boolean): void {
  const own = listing.drawn?.facets.find(({ key }) => key === facet.key);
  const options = own && 'options' in own ? own.options : [];
  void listing.pick(toggle(listing.choices, { key: facet.key, options }, value, single));
}
