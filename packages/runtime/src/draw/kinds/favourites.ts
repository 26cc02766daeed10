import type { FavouritesFacetAnswer } from '@ivy/core';
import { html, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import { choose } from '../../listing/choices.js';
import type { Listing } from '../../listing/listing.js';
import { figure } from '../option-parts.js';

/** A switch that shows only what the visitor marked on the cards. */
export function drawFavourites(listing: Listing, facet: FavouritesFacetAnswer): TemplateResult {
  const on = (listing.choices.facets[facet.key]?.length ?? 0) > 0;
  const { size } = listing.marks;
  const flip = () => void listing.pick(choose(listing.choices, facet.key, on ? [] : [...listing.marks]));
  return html`<label class=${size === 0 && !on ? 'ivy-tick ivy-muted' : 'ivy-tick'}>
    <input
      type="checkbox"
      role="switch"
      class="ivy-switch"
      ?disabled=${size === 0 && !on}
      .checked=${live(on)}
      @change=${flip}
    />
    <span class="ivy-label">${listing.settings!.texts.onlyMarked}</span>
    <span class="ivy-count">${figure(listing, size)}</span>
  </label>`;
}
