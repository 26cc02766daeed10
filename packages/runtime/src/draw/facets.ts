import { html, type TemplateResult } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import type { FacetAnswer, FacetSettings } from '@ivy/core';
import type { Listing } from '../listing/listing.js';
import { drawRange } from './range.js';
import { drawSearch } from './search.js';
import { drawTerms } from './terms.js';

export function drawFacets(listing: Listing): TemplateResult {
  const { answer, settings } = listing;
  if (!answer || !settings) return html``;
  return html`${repeat(
    answer.facets.filter((facet) => facet.visible),
    (facet) => facet.key,
    (facet) => drawFacet(listing, facet.key),
  )}`;
}

export function drawFacet(listing: Listing, key: string): TemplateResult {
  const facet = listing.answer?.facets.find((one) => one.key === key);
  const settings = listing.settings?.facets.find((one) => one.key === key);
  if (!facet || !settings) return html``;
  return html`<fieldset class="ivy-facet" data-facet=${key} data-kind=${facet.kind}>
    <legend class="ivy-facet-title">${settings.label}</legend>
    ${drawControl(listing, facet, settings)}
  </fieldset>`;
}

function drawControl(listing: Listing, facet: FacetAnswer, settings: FacetSettings): TemplateResult {
  if (facet.kind === 'search') return drawSearch(listing, facet, settings);
  if (facet.kind === 'date-range' || facet.kind === 'number-range') return drawRange(listing, facet);
  return drawTerms(listing, facet, settings);
}
