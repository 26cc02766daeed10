import type { FacetView, OptionView } from '@ivy/view';
import { toggle } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import type { Listing } from '../listing/listing.js';

/** Draws what a facet is set by, and does what is pressed. */
export type DrawFacet = (listing: Listing, facet: FacetView) => TemplateResult;

export function drawCount({ count }: { count: string | null }): TemplateResult | typeof nothing {
  return count === null ? nothing : html`<span class="ivy-count">${count}</span>`;
}

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
