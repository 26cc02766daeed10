import { countView, sizeView, sortView, type SortView } from '@ivy/view';
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

/** How many posts a page, where that is a visitor's to choose. */
export function drawSize(listing: Listing): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && sizeView(shown);
  if (!view) return nothing;
  return drawList(view, (value) => {
    void listing.choose({ ...listing.choices, size: value === '' ? null : Number(value), page: 1 });
  });
}

export function drawSort(listing: Listing): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && sortView(shown);
  if (!view) return nothing;
  return drawList(view, (value) => {
    void listing.choose({ ...listing.choices, sort: value === '' ? null : value, page: 1 });
  });
}

function drawList({ label, options }: Omit<SortView, 'name'>, pick: (value: string) => void): TemplateResult {
  return html`<label class="ivy-sort">
    <span>${label}</span>
    <select
      .value=${live(options.find((option) => option.chosen)?.value ?? '')}
      @change=${(event: Event) => pick((event.target as HTMLSelectElement).value)}
    >
      ${options.map(({ value, label, chosen }) => html`<option value=${value} ?selected=${chosen}>${label}</option>`)}
    </select>
  </label>`;
}
