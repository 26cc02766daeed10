import type { CardRow, CardView, TextPiece } from '@ivy/view';
import { html, type Markup } from './markup.js';

/** The cards of a page, as the page script draws them. */
export function drawCards(cards: readonly CardView[]): Markup {
  return html`<ul class="ivy-cards">
    ${cards.map(drawCard)}
  </ul>`;
}

function drawCard(card: CardView): Markup {
  return html`<li class="ivy-card" data-post="${card.id}">
    ${card.pictures.map((source) => drawPicture(source, card.soon))}
    <div class="ivy-card-text">${card.rows.map((row) => drawRow(row, card))}</div>
  </li>`;
}

function drawPicture(source: string, soon: boolean): Markup {
  return html`<div class="ivy-picture">
    <img src="${source}" alt="" loading="${soon ? 'eager' : 'lazy'}" decoding="async" width="320" height="180" />
  </div>`;
}

function drawRow(row: CardRow, { href }: CardView): Markup {
  switch (row.form) {
    case 'title':
      return html`<h3 class="ivy-title">
        ${href === null ? pieces(row.text) : html`<a href="${href}">${pieces(row.text)}</a>`}
      </h3>`;
    case 'text':
      return html`<p class="ivy-summary">${pieces(row.text)}</p>`;
    case 'terms':
      return html`<ul class="ivy-terms">
        ${row.labels.map((label) => html`<li>${label}</li>`)}
      </ul>`;
    case 'facts':
      return html`<p class="ivy-facts">
        ${row.facts.map(({ text, datetime }) => html`<span>${datetime === undefined ? text : html`<time datetime="${datetime}">${text}</time>`}</span>`)}
      </p>`;
  }
}

/** A text with what a search matched in it set off. */
function pieces(text: readonly TextPiece[]): (Markup | string)[] {
  return text.map((piece) => (piece.marked ? html`<mark class="ivy-mark">${piece.text}</mark>` : piece.text));
}
