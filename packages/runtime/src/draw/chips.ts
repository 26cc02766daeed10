import { fill, rangeText, type FacetAnswer } from '@ivy/core';
import { html, nothing, type TemplateResult } from 'lit';
import { repeat } from 'lit/directives/repeat.js';
import { choose, startChoices, writeChoices } from '../listing/choices.js';
import { switchLabel } from './kinds/switch.js';
import { figure } from './option-parts.js';
import type { Listing } from '../listing/listing.js';

/** What is chosen, each removable; nothing at all while nothing is chosen. */
export function drawChips(listing: Listing): TemplateResult | typeof nothing {
  const { answer, settings, choices } = listing;
  if (!answer || !settings) return nothing;
  // what is fixed for visitors they can neither see nor take away
  const chips = answer.facets
    .filter((facet) => facet.visible)
    .flatMap((facet) =>
      valuesOf(facet, choices.facets[facet.key] ?? []).map((value) => ({
        facet,
        value,
        label: labelOf(listing, facet, value),
      })),
    );
  const hidden = answer.facets.filter((facet) => !facet.visible && choices.facets[facet.key]);
  const fixed = Object.fromEntries(hidden.map((facet) => [facet.key, choices.facets[facet.key]!]));
  // cleared, the page is as an address finds it that says nothing
  const cleared = { ...choices, facets: { ...startChoices(settings), ...fixed }, page: 1 };
  const isClear = writeChoices({ ...choices, page: 1 }, settings) === writeChoices(cleared, settings);
  if (chips.length === 0 && isClear) return nothing;
  const clear = () => {
    listing.forgetTyped();
    void listing.choose(cleared);
  };
  return html`<ul class="ivy-chips" aria-label=${settings.texts.chosen}>
    ${repeat(
      chips,
      ({ facet, value }) => `${facet.key} ${value}`,
      ({ facet, value, label }) => {
        const rest =
          facet.kind === 'favourites' ? [] : (choices.facets[facet.key] ?? []).filter((other) => other !== value);
        const remove = () => void listing.choose(choose(choices, facet.key, rest));
        return html`<li>
          <button
            type="button"
            class="ivy-chip"
            aria-label=${fill(settings.texts.remove, { facet: facet.label, value: label })}
            @click=${remove}
            @keydown=${(event: KeyboardEvent) => {
              if (event.key === 'Backspace' || event.key === 'Delete') remove();
            }}
          >
            ${label} <span aria-hidden="true" class="ivy-cross"></span>
          </button>
        </li>`;
      },
    )}
    ${isClear ? nothing : html`<li><button type="button" class="ivy-clear" @click=${clear}>${settings.texts.clearAll}</button></li>`}
  </ul>`;
}

/** What is marked is one choice, however many posts it is. */
function valuesOf(facet: FacetAnswer, values: readonly string[]): readonly string[] {
  return facet.kind === 'favourites' && values.length > 0 ? [String(values.length)] : values;
}

function labelOf(listing: Listing, facet: FacetAnswer, value: string): string {
  const settings = listing.settings!;
  const own = settings.facets.find((one) => one.key === facet.key);
  if (facet.kind === 'search') return `“${value}”`;
  if (facet.kind === 'favourites') return fill(settings.texts.marked, { n: figure(listing, Number(value)) });
  if (facet.kind === 'date-range' || facet.kind === 'number-range') return rangeText(facet.kind, value, settings, own);
  const label = facet.options.find((option) => option.value === value)?.label ?? value;
  if (facet.kind !== 'switch') return label;
  // a bare “Yes” would tell nobody what it is a yes to
  const words = switchLabel(listing, { value, label });
  const isBare = words === settings.texts.yes || words === settings.texts.no;
  return isBare ? `${facet.label}: ${words.toLocaleLowerCase(settings.language)}` : words;
}
