import { countView, sortView } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { Listing } from '../listing/listing.js';
import { shownOf } from './shown.js';

/** “37 notes of 480”, told politely to those who listen. */
export function drawCount(listing: Listing): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  if (!shown) return nothing;
  const { matched, of } = countView(shown);
  return html`<p class="ivy-count-line" role="status">
    <strong>${matched}</strong>
    ${of === null ? nothing : html`<span>${of}</span>`}
  </p>`;
}

export function drawSort(listing: Listing): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && sortView(shown);
  if (!view) return nothing;
  const pick = (event: Event) => {
    const { value } = event.target as HTMLSelectElement;
    void listing.choose({ ...listing.choices, sort: value === '' ? null : value, page: 1 });
  };
  return html`<label class="ivy-sort">
    <span>${view.label}</span>
    <select .value=${live(view.options.find((option) => option.chosen)?.value ?? '')} @change=${pick}>
      ${view.options.map(({ value, label, chosen }) => html`<option value=${value} ?selected=${chosen}>${label}</option>`)}
    </select>
  </label>`;
}
