import { fill, fillPlural } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { live } from 'lit/directives/live.js';
import type { Listing } from '../listing/listing.js';

/** “37 notes of 480”, told politely to those who listen. */
export function drawCount(listing: Listing): TemplateResult | typeof nothing {
  const { answer, settings } = listing;
  if (!answer || !settings) return nothing;
  const { texts, language } = settings;
  const total = new Intl.NumberFormat(language).format(answer.total);
  return html`<p class="ivy-count-line" role="status">
    <strong>${fillPlural(texts.posts, answer.matched, language)}</strong>
    ${answer.matched === answer.total ? nothing : html`<span>${fill(texts.of, { total })}</span>`}
  </p>`;
}

export function drawSort(listing: Listing): TemplateResult | typeof nothing {
  const { answer, settings, choices } = listing;
  if (!answer || !settings || settings.sort.length < 2) return nothing;
  const chosen = choices.sort ?? answer.sort ?? '';
  // a search is by relevance without being told, also where the lens lists no such order
  const implied = answer.sort === 'relevance' && !settings.sort.some((option) => option.key === 'relevance');
  const options = implied ? [{ key: 'relevance', label: settings.texts.relevance }, ...settings.sort] : settings.sort;
  const pick = (event: Event) => {
    const { value } = event.target as HTMLSelectElement;
    void listing.choose({ ...choices, sort: implied && value === 'relevance' ? null : value, page: 1 });
  };
  return html`<label class="ivy-sort">
    <span>${settings.texts.sort}</span>
    <select .value=${live(chosen)} @change=${pick}>
      ${options.map(
        (option) => html`<option value=${option.key} ?selected=${option.key === chosen}>${option.label}</option>`,
      )}
    </select>
  </label>`;
}
