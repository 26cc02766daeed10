import type { FacetSettings, Option } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import { toggle } from '../../listing/choices.js';
import type { Listing } from '../../listing/listing.js';
import { drawFind, drawMoreTerms, foundOptions, moreOf } from '../find.js';
import { drawCount, isChosen, isMuted, type Listed } from '../option-parts.js';

/** Buttons drawn of a facet with thousands of terms. */
const mostPressed = 60;

/** Pills to press, or plain links to the address each leads to. */
export function drawButtons(listing: Listing, facet: Listed, settings: FacetSettings): TemplateResult {
  const isMany = moreOf(facet) > 0;
  return html`${isMany ? drawFind(listing, facet, settings) : nothing}
    <div class="ivy-buttons" data-as=${settings.as ?? 'pills'} data-row=${settings.row ?? 'wrap'}>
      ${repeat(
        isMany ? foundOptions(listing, facet).slice(0, mostPressed) : facet.options,
        (option) => option.value,
        (option) => (settings.as === 'links' ? drawLink : drawPill)(listing, facet, settings, option),
      )}
    </div>
    ${drawMoreTerms(listing, facet)}`;
}

function drawPill(listing: Listing, facet: Listed, settings: FacetSettings, option: Option): TemplateResult {
  const chosen = isChosen(listing, facet, option);
  const next = toggle(listing.choices, facet, option.value, settings.single);
  return html`<button
    type="button"
    class=${isMuted(settings, option, chosen) ? 'ivy-button ivy-muted' : 'ivy-button'}
    aria-pressed=${chosen}
    @click=${() => void listing.pick(next)}
  >
    ${option.label} ${drawCount(listing, settings, option)}
  </button>`;
}

function drawLink(listing: Listing, facet: Listed, settings: FacetSettings, option: Option): TemplateResult {
  const chosen = isChosen(listing, facet, option);
  const next = toggle(listing.choices, facet, option.value, settings.single);
  // pressed with a key that opens a new tab, a link is left to the browser
  const go = (event: MouseEvent) => {
    if (event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
    event.preventDefault();
    void listing.pick(next);
  };
  return html`<a
    class=${isMuted(settings, option, chosen) ? 'ivy-link ivy-muted' : 'ivy-link'}
    href=${listing.hrefOf(next)}
    aria-current=${chosen ? 'true' : 'false'}
    @click=${go}
    >${option.label} ${drawCount(listing, settings, option)}</a
  >`;
}
