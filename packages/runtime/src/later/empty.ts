import { emptyView, type CardView, type Shown } from '@ivy/view';
import type { html as Html, TemplateResult } from 'lit-html';
import type { Listing } from '../listing/listing.js';

/** What stands where nothing matches: words, ways out, and other posts where the lens has some. */
export function drawEmpty(
  html: typeof Html,
  listing: Listing,
  shown: Shown,
  drawCards: (cards: readonly CardView[]) => unknown,
): TemplateResult {
  const { title, lead, ways, others } = emptyView(shown);
  return html`<div class="ivy-empty">
      <p class="ivy-empty-title">${title}</p>
      ${
        lead === null
          ? ''
          : html`<p>${lead}</p>
              <ul class="ivy-ways">
                ${ways.map(
                  ({ label, link }) =>
                    html`<li>
                      <button type="button" class="ivy-way" @click=${() => void listing.choose(link.choices)}>
                        ${label}
                      </button>
                    </li>`,
                )}
              </ul>`
      }
    </div>
    ${
      others === null
        ? ''
        : html`<h3 class="ivy-others">${others.title}</h3>
            ${drawCards(others.cards)}`
    }`;
}
