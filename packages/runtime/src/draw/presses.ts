import type { FacetView, PressesControl } from '@ivy/view';
import { html, type TemplateResult } from 'lit-html';
import { repeat } from 'lit-html/directives/repeat.js';
import type { Listing } from '../listing/listing.js';
import { drawFind, drawMoreTerms } from './find.js';
import { follow } from './follow.js';
import { drawCount } from './parts.js';

type Press = PressesControl['options'][number];

/** Pills to press, or plain links to the address each leads to. */
export function drawPresses(listing: Listing, facet: FacetView): TemplateResult {
  const control = facet.control as PressesControl;
  const draw = control.as === 'pills' ? drawPill : drawLink;
  return html`${drawFind(listing, facet, control.find)}
    <div class="ivy-buttons" data-as=${control.as} data-row=${control.row}>
      ${repeat(
        control.options,
        (option) => option.value,
        (option) => draw(listing, option),
      )}
    </div>
    ${drawMoreTerms(control.find)}`;
}

function drawPill(listing: Listing, option: Press): TemplateResult {
  return html`<button
    type="button"
    value=${option.value}
    class=${option.muted ? 'ivy-button ivy-muted' : 'ivy-button'}
    aria-pressed=${option.chosen}
    @click=${() => void listing.pick(option.link.choices)}
  >
    ${option.label} ${drawCount(option)}
  </button>`;
}

function drawLink(listing: Listing, option: Press): TemplateResult {
  return html`<a
    class=${option.muted ? 'ivy-link ivy-muted' : 'ivy-link'}
    href=${option.link.href}
    aria-current=${option.chosen ? 'true' : 'false'}
    data-long=${option.label.length > 1}
    @click=${follow(option.link, (next) => void listing.pick(next))}
    ><span>${option.label}</span> ${drawCount(option)}</a
  >`;
}
