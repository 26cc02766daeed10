import type { FacetView, FindView } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { Listing } from '../listing/listing.js';

/** How many terms there are besides those that are drawn, where an answer can't hold all. */
export function drawMoreTerms(find: FindView | null): TemplateResult | typeof nothing {
  return find?.more ? html`<p class="ivy-more-terms">${find.more}</p>` : nothing;
}

/** What is said where nothing is found: told as it changes. */
export function drawNone(words: string | null): TemplateResult {
  return html`<p class="ivy-find-none" role="status">${words ?? nothing}</p>`;
}

/** A box to find terms in. */
export function drawFind(listing: Listing, facet: FacetView, find: FindView | null): TemplateResult | typeof nothing {
  if (!find) return nothing;
  const set = (text: string) => {
    listing.finder.find(facet.key, text);
  };
  return html`<input
    type="search"
    class="ivy-input ivy-find"
    autocomplete="off"
    spellcheck="false"
    placeholder=${find.label}
    aria-label=${find.label}
    .value=${live(find.text)}
    @input=${(event: Event) => set((event.target as HTMLInputElement).value)}
    @keydown=${(event: KeyboardEvent) => {
      if (event.key === 'Enter') event.preventDefault();
      if (event.key === 'Escape') set('');
    }}
  />`;
}
