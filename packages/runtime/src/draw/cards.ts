import type { CardRow, CardView, TextPiece } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { ifDefined } from 'lit-html/directives/if-defined.js';
import { repeat } from 'lit-html/directives/repeat.js';
import type { Listing } from '../listing/listing.js';

export function drawCards(listing: Listing, cards: readonly CardView[]): TemplateResult {
  return html`<ul class="ivy-cards">
    ${repeat(
      cards,
      // what comes late stands in the places that are there: nothing slides while one reads
      (card) => `${listing.late} ${card.id}`,
      (card) => drawCard(listing, card),
    )}
  </ul>`;
}

function drawCard(listing: Listing, card: CardView): TemplateResult {
  return html`<li class="ivy-card" data-post=${card.id}>
    ${card.pictures.map((address) => drawPicture(address, card.soon))}
    <div class="ivy-card-text">${card.rows.map((row) => drawRow(row, card))}</div>
    ${drawMark(listing, card)}
  </li>`;
}

/** A ribbon that marks a post, so that one finds it again. */
function drawMark(listing: Listing, { id, mark }: CardView): TemplateResult | typeof nothing {
  if (!mark) return nothing;
  return html`<button
    type="button"
    class="ivy-ribbon"
    aria-pressed=${mark.on}
    aria-label=${mark.label}
    @click=${() => listing.mark(id)}
  >
    <span aria-hidden="true"></span>
  </button>`;
}

function drawRow(row: CardRow, { href }: CardView): TemplateResult {
  switch (row.form) {
    case 'title':
      return html`<h3 class="ivy-title">
        ${href === null ? pieces(row.text) : html`<a href=${href}>${pieces(row.text)}</a>`}
      </h3>`;
    case 'text':
      return html`<p class="ivy-summary">${pieces(row.text)}</p>`;
    case 'terms':
      return html`<ul class="ivy-terms">
        ${row.labels.map((label) => html`<li>${label}</li>`)}
      </ul>`;
    case 'facts':
      return html`<p class="ivy-facts">
        ${row.facts.map(({ text, datetime }) => html`<span>${datetime === undefined ? text : html`<time datetime=${datetime}>${text}</time>`}</span>`)}
      </p>`;
  }
}

/** A text with what a search matched in it set off. */
function pieces(text: readonly TextPiece[]): unknown {
  return text.map((piece) => (piece.marked ? html`<mark class="ivy-mark">${piece.text}</mark>` : piece.text));
}

function drawPicture(address: string, soon: boolean): TemplateResult {
  // the title beside it says the same in words, so the picture is passed over when read aloud
  return html`<div class="ivy-picture">
    <img
      src=${address}
      alt=""
      loading=${soon ? 'eager' : 'lazy'}
      decoding="async"
      width="320"
      height="180"
      fetchpriority=${ifDefined(soon ? undefined : ('low' as const))}
    />
  </div>`;
}
