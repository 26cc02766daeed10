import type { FacetView, SelectsControl, SelectView } from '@ivy/view';
import { html, type TemplateResult } from 'lit-html';
import { live } from 'lit-html/directives/live.js';
import type { Listing } from '../listing/listing.js';

/** The browser's own list of which one is chosen. */
export function drawSelects(listing: Listing, facet: FacetView): TemplateResult {
  return html`${(facet.control as SelectsControl).lists.map((list) => drawSelect(listing, list))}`;
}

function drawSelect(listing: Listing, { label, any, options }: SelectView): TemplateResult {
  const chosen = options.find((option) => option.chosen)?.value ?? '';
  const pick = (event: Event) => {
    const { value } = event.target as HTMLSelectElement;
    const { link } = options.find((option) => option.value === value) ?? any;
    void listing.pick(link.choices);
  };
  return html`<select class="ivy-select" aria-label=${label} .value=${live(chosen)} @change=${pick}>
    <option value="" ?selected=${any.chosen}>${any.label}</option>
    ${options.map(
      (option) =>
        html`<option value=${option.value} ?selected=${option.chosen}>
          ${'\u2003'.repeat(option.depth)}${option.label}${option.count === null ? '' : ` (${option.count})`}
        </option>`,
    )}
  </select>`;
}
