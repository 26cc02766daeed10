import { fill, fold, type FacetSettings, type Option } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import type { Listing } from '../listing/listing.js';
import { figure, type Listed } from './option-parts.js';

/** Options drawn at most of what was found: more would only be scrolled past. */
const mostFound = 100;

/** The options that have what stands in the find box: found by the server where the answer does not hold all. */
export function foundOptions(listing: Listing, facet: Listed): readonly Option[] {
  const text = fold((listing.finds.get(facet.key) ?? '').trim());
  if (text === '') return facet.options;
  const known = listing.found.get(facet.key);
  // what was found for what stood there before is looked through until the rest comes
  return known ? known.options.filter(({ label }) => fold(label).includes(text)) : found(facet.options, text);
}

/** Options whose label has what is typed, each with those above it, so that one sees where it stands. */
export function found(options: readonly Option[], text: string): Option[] {
  const byValue = new Map(options.map((option) => [option.value, option]));
  const shown = new Set<string>();
  let count = 0;
  for (const option of options) {
    if (!fold(option.label).includes(text)) continue;
    if (count++ >= mostFound) break;
    for (let at: Option | undefined = option; at; at = at.parent === null ? undefined : byValue.get(at.parent)) {
      shown.add(at.value);
    }
  }
  return options.filter((option) => shown.has(option.value));
}

/** How many terms there are besides those that are drawn, where an answer can't hold all. */
export function drawMoreTerms(listing: Listing, facet: Listed): TemplateResult | typeof nothing {
  const isFinding = (listing.finds.get(facet.key) ?? '').trim() !== '';
  const more = isFinding ? listing.found.get(facet.key)?.more : moreOf(facet);
  if (!more) return nothing;
  return html`<p class="ivy-more-terms">${fill(listing.settings!.texts.moreTerms, { n: figure(listing, more) })}</p>`;
}

/** Terms of a facet that its answer does not hold. */
export function moreOf(facet: Listed): number {
  return 'more' in facet ? (facet.more ?? 0) : 0;
}

/** A box to find terms in. */
export function drawFind(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const label = fill(listing.settings!.texts.find, { facet: settings.label });
  const set = (text: string) => {
    listing.find(facet.key, text);
  };
  return html`<input
    type="search"
    class="ivy-input ivy-find"
    autocomplete="off"
    spellcheck="false"
    placeholder=${label}
    aria-label=${label}
    .value=${live(listing.finds.get(facet.key) ?? '')}
    @input=${(event: Event) => set((event.target as HTMLInputElement).value)}
    @keydown=${(event: KeyboardEvent) => {
      if (event.key === 'Enter') event.preventDefault();
      if (event.key === 'Escape') set('');
    }}
  />`;
}
