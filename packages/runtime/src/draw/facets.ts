import { fill, type FacetAnswer, type FacetSettings } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import { choose } from '../listing/choices.js';
import type { Listing } from '../listing/listing.js';
import { drawFavourites } from './kinds/favourites.js';
import { drawRange } from './range.js';
import { drawSearch } from './search.js';
import { showText } from './show-text.js';
import { drawTerms } from './terms.js';
import { partId } from './option-parts.js';

export function drawFacets(listing: Listing): TemplateResult {
  const { drawn, settings, status } = listing;
  if (!drawn || !settings) return status === 'failed' ? html`` : drawLoading();
  return html`${repeat(
    drawn.facets.filter((facet) => facet.visible),
    (facet) => facet.key,
    (facet) => drawFacet(listing, facet.key),
  )}
  ${drawApply(listing)}`;
}

/** Options of the quiet shapes that stand where facets will be. */
const ghosts = [5, 3, 4];

/** As beside them where cards will be, so that the page does not look half of what it is. */
function drawLoading(): TemplateResult {
  return html`<div aria-hidden="true">
    ${ghosts.map(
      (options) =>
        html`<div class="ivy-facet ivy-ghost-facet">${Array.from({ length: options + 1 }, () => html`<i></i>`)}</div>`,
    )}
  </div>`;
}

export function drawFacet(listing: Listing, key: string): TemplateResult {
  const facet = listing.drawn?.facets.find((one) => one.key === key);
  const settings = listing.settings?.facets.find((one) => one.key === key);
  if (!facet || !settings || !isWanted(listing, settings)) return html``;
  const folded = listing.isFolded(key);
  const body = partId(listing, facet, 'body');
  return html`<fieldset class="ivy-facet" data-facet=${key} data-kind=${facet.kind}>
    <legend class="ivy-facet-title">
      <button
        type="button"
        class="ivy-fold"
        aria-expanded=${!folded}
        aria-controls=${body}
        @click=${() => listing.fold(key, !folded)}
      >
        <span>${settings.label}</span><span class="ivy-chevron" aria-hidden="true"></span>
      </button>
    </legend>
    ${drawClear(listing, settings)}
    <div id=${body} class="ivy-facet-body" ?hidden=${folded}>${drawControl(listing, facet, settings)}</div>
  </fieldset>`;
}

/** Whether the facet it waits for, if any, has something chosen. What is chosen in itself is never out of sight. */
function isWanted(listing: Listing, settings: FacetSettings): boolean {
  const chosenIn = (key: string) => (listing.choices.facets[key]?.length ?? 0) > 0;
  return settings.dependsOn === '' || chosenIn(settings.dependsOn) || chosenIn(settings.key);
}

function drawClear(listing: Listing, settings: FacetSettings): TemplateResult | typeof nothing {
  if (!listing.choices.facets[settings.key]?.length) return nothing;
  const clear = (event: Event) => {
    // the button goes with what it cleared: the heading beside it takes the focus
    (event.currentTarget as HTMLElement).parentElement?.querySelector<HTMLElement>('.ivy-fold')?.focus();
    listing.forgetTyped(settings.key);
    void listing.pick(choose(listing.choices, settings.key, []));
  };
  return html`<button
    type="button"
    class="ivy-facet-clear"
    aria-label=${fill(listing.settings!.texts.clearFacet, { facet: settings.label })}
    title=${fill(listing.settings!.texts.clearFacet, { facet: settings.label })}
    @click=${clear}
  >
    <span aria-hidden="true" class="ivy-cross"></span>
  </button>`;
}

function drawControl(listing: Listing, facet: FacetAnswer, settings: FacetSettings): TemplateResult {
  if (facet.kind === 'search') return drawSearch(listing, facet, settings);
  if (facet.kind === 'date-range' || facet.kind === 'number-range') return drawRange(listing, facet, settings);
  if (facet.kind === 'favourites') return drawFavourites(listing, facet);
  return drawTerms(listing, facet, settings);
}

/** The button that does what was chosen, with how much it will show. Only where the lens waits for one. */
function drawApply(listing: Listing): TemplateResult | typeof nothing {
  if (listing.settings?.address.apply !== 'button') return nothing;
  return html`<div class="ivy-apply">
    <button type="button" class="ivy-show" ?data-waits=${listing.waits} @click=${() => void listing.apply()}>
      ${showText(listing)}
    </button>
  </div>`;
}
