import type { FacetSettings, Option, SwitchFacetAnswer, TermFacetAnswer } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import type { Listing } from '../listing/listing.js';

/** A facet whose choices are listed one by one. */
export type Listed = TermFacetAnswer | SwitchFacetAnswer;

export function drawCount(listing: Listing, settings: FacetSettings, option: Option): TemplateResult | typeof nothing {
  return settings.counts ? html`<span class="ivy-count">${figure(listing, option.count)}</span>` : nothing;
}

/** A number as the lens's language writes it. */
export function figure(listing: Listing, n: number): string {
  return new Intl.NumberFormat(listing.settings!.language).format(n);
}

export function isChosen(listing: Listing, facet: Listed, option: Option): boolean {
  return listing.choices.facets[facet.key]?.includes(option.value) ?? false;
}

export function isMuted(settings: FacetSettings, option: Option, chosen: boolean): boolean {
  return settings.zero === 'mute' && option.count === 0 && !chosen;
}

/** An id for a part of a facet, the same on every drawing and apart from other facets' and other listings' on the page. */
export function partId(listing: Listing, facet: { key: string }, part: string): string {
  const names = [listing.name, (listing.settings?.address.prefix ?? '') + facet.key];
  return `ivy-${names.map(encodeURIComponent).join('-')}-${part}`;
}
