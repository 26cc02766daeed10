import { chipsView } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { repeat } from 'lit-html/directives/repeat.js';
import type { Listing } from '../listing/listing.js';
import { shownOf } from './shown.js';

/** What is chosen, each removable; nothing at all while nothing is chosen. */
export function drawChips(listing: Listing): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && chipsView(shown);
  if (!view) return nothing;
  const { label, chips, clear } = view;
  const clearAll = () => {
    listing.opened.forgetTyped();
    void listing.choose(clear!.link.choices);
  };
  return html`<ul class="ivy-chips" aria-label=${label}>
    ${repeat(
      chips,
      (chip) => chip.key,
      (chip) => {
        const remove = () => void listing.choose(chip.without.choices);
        return html`<li>
          <button
            type="button"
            class="ivy-chip"
            aria-label=${chip.name}
            @click=${remove}
            @keydown=${(event: KeyboardEvent) => {
              if (event.key === 'Backspace' || event.key === 'Delete') remove();
            }}
          >
            ${chip.label} <span aria-hidden="true" class="ivy-cross"></span>
          </button>
        </li>`;
      },
    )}
    ${clear ? html`<li><button type="button" class="ivy-clear" @click=${clearAll}>${clear.label}</button></li>` : nothing}
  </ul>`;
}
