import type { FacetView, SwitchControl, WaysControl } from '@ivy/view';
import { html, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { Listing } from '../listing/listing.js';
import { partId } from './part-id.js';
import { drawCount } from './parts.js';

/** On and off, or, where “no” matters too, either, yes and no. */
export function drawSwitch(listing: Listing, facet: FacetView): TemplateResult {
  return facet.control.form === 'ways' ? drawWays(listing, facet, facet.control) : drawFlip(listing, facet);
}

/** On and off. */
export function drawFlip(listing: Listing, facet: FacetView): TemplateResult {
  const { label, on, count, link, disabled } = facet.control as SwitchControl;
  return html`<label class=${disabled ? 'ivy-tick ivy-muted' : 'ivy-tick'}>
    <input
      type="checkbox"
      role="switch"
      class="ivy-switch"
      ?disabled=${disabled}
      .checked=${live(on)}
      @change=${() => void listing.pick(link.choices)}
    />
    <span class="ivy-label">${label}</span>
    ${drawCount({ count })}
  </label>`;
}

function drawWays(listing: Listing, facet: FacetView, { ways }: WaysControl): TemplateResult {
  return html`<div class="ivy-three">
    ${ways.map(
      (way) =>
        html`<label class="ivy-way-of">
          <input
            type="radio"
            class="ivy-unseen"
            name=${partId(listing, facet, 'three')}
            .checked=${live(way.chosen)}
            @change=${() => void listing.pick(way.link.choices)}
          />
          <span>${way.label} ${drawCount(way)}</span>
        </label>`,
    )}
  </div>`;
}
