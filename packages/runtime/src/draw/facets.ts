import { facetView, type FacetView, showText as showTextOf } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { repeat } from 'lit-html/directives/repeat.js';
import { drawKinds } from '../kinds/kinds.js';
import type { Listing } from '../listing/listing.js';
import type { Shape } from '../listing/shape.js';
import { partId } from './part-id.js';
import { facetsShown } from './shown.js';

export function drawFacets(listing: Listing): TemplateResult {
  const { drawn, settings, status } = listing;
  if (!drawn || !settings) return status === 'loading' ? drawLoading(listing.shape) : html``;
  return html`${repeat(
    settings.facets.filter((facet) => facet.visible),
    (facet) => facet.key,
    (facet) => drawFacet(listing, facet.key),
  )}
  ${drawApply(listing)}`;
}

/** Quiet shapes where facets will be, so that the page does not look half of what it is. */
function drawLoading({ lines }: Shape): TemplateResult {
  const facets = lines.map(
    (count) =>
      html`<div class="ivy-facet ivy-ghost-facet">${Array.from({ length: count + 1 }, () => html`<i></i>`)}</div>`,
  );
  return html`<div class="ivy-facets-ghost" aria-hidden="true">${facets}</div>`;
}

export function drawFacet(listing: Listing, key: string): TemplateResult {
  const shown = facetsShown(listing);
  const facet = shown && facetView(shown, key);
  if (!facet || facet.waits) return html``;
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
        <span>${facet.label}</span><span class="ivy-chevron" aria-hidden="true"></span>
      </button>
    </legend>
    ${drawClear(listing, facet)}
    <div id=${body} class="ivy-facet-body" ?hidden=${folded}>${drawKinds[facet.kind](listing, facet)}</div>
  </fieldset>`;
}

function drawClear(listing: Listing, { key, clear }: FacetView): TemplateResult | typeof nothing {
  if (!clear) return nothing;
  const press = (event: Event) => {
    // the button goes with what it cleared: the heading beside it takes the focus
    (event.currentTarget as HTMLElement).parentElement?.querySelector<HTMLElement>('.ivy-fold')?.focus();
    listing.opened.forgetTyped(key);
    void listing.pick(clear.link.choices);
  };
  return html`<button
    type="button"
    class="ivy-facet-clear"
    aria-label=${clear.label}
    title=${clear.label}
    @click=${press}
  >
    <span aria-hidden="true" class="ivy-cross"></span>
  </button>`;
}

/** “Show 37 notes”, by what is chosen this moment. */
export function showText(listing: Listing): string {
  return showTextOf(facetsShown(listing)!);
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
