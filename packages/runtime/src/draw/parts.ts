import type { FacetView } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import type { Listing } from '../listing/listing.js';

/** Draws what a facet is set by, and does what is pressed. */
export type DrawFacet = (listing: Listing, facet: FacetView) => TemplateResult;

export function drawCount({ count }: { count: string | null }): TemplateResult | typeof nothing {
  return count === null ? nothing : html`<span class="ivy-count">${count}</span>`;
}
