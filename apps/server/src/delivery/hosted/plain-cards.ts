import type { Placed } from '@ivy/core';
import type { CardRow, CardView, PictureView, TextPiece } from '@ivy/view';
import { html, type Markup } from './markup.js';

/** The cards of a page, as the page script draws them. */
export function drawCards(cards: readonly CardView[], { arrangement }: Placed): Markup {
  return html`<ul class="ivy-cards" data-as="${arrangement}">
    ${cards.map(drawCard)}
  </ul>`;
}

function drawCard(card: CardView): Markup {
  const { pictures, badges } = card;
  return html`<li
    class="ivy-card"
    data-post="${card.id}"
    data-leads="${card.leads}"
    ${card.beside && html` data-beside`}
  >
    ${pictures.map((picture) => drawPicture(picture, card))}
    ${badges.length > 0 && html`<p class="ivy-badges">${badges.map(({ text }) => html`<span>${text}</span>`)}</p>`}
    <div class="ivy-card-text">${card.rows.map((row) => drawRow(row, card))}</div>
  </li>`;
}

/** A link to the post. */
function link({ href, newTab }: CardView, what: Markup | (Markup | string)[], kind: 'words' | 'picture' | 'button') {
  if (href === null) return what;
  const isPicture = kind === 'picture';
  return html`<a
    href="${href}"
    ${kind === 'button' && html` class="ivy-read"`}
    ${newTab !== null && html` target="_blank" rel="noopener"`}
    ${isPicture && html` tabindex="-1" aria-hidden="true"`}
    >${what}${newTab !== null && !isPicture && html`<span class="ivy-unseen"> (${newTab})</span>`}</a
  >`;
}

export function drawPicture({ address, sizes, alt, aspect, fit, at }: PictureView, card: CardView): Markup {
  const picture = html`<img
    ${sizes && html` sizes="${sizes.sizes}" srcset="${sizes.srcset}"`}
    src="${address}"
    alt="${alt}"
    loading="${card.soon ? 'eager' : 'lazy'}"
    decoding="async"
    width="320"
    height="180"
    style="object-fit:${fit}"
  />`;
  const isMissing = address === null;
  return html`<div
    class="ivy-picture"
    ${isMissing && html` data-missing`}
    data-at="${at.join()}"
    style="aspect-ratio:${aspect}"
  >
    ${isMissing ? false : card.leads === 'title' ? link(card, picture, 'picture') : picture}
  </div>`;
}

/** A heading of a level; a line of text for none. */
function heading(level: number, rest: Markup, text: Markup | (Markup | string)[]): Markup {
  if (level === 3) return html`<h3 dir="auto" class="ivy-title" ${rest}>${text}</h3>`;
  const role = level > 0 && html` role="heading" aria-level="${level}"`;
  return html`<p dir="auto" class="ivy-title" ${rest}${role}>${text}</p>`;
}

export function drawRow(row: CardRow, card: CardView): Markup {
  const at = html` data-at="${row.at.join()}"`;
  const clamp = (lines: number) => lines > 0 && html` style="--ivy-lines:${lines}"`;
  switch (row.form) {
    case 'title': {
      const leads = card.leads === 'card' || card.leads === 'title';
      const text = leads ? link(card, pieces(row.text), 'words') : pieces(row.text);
      return heading(row.level, html`${at}${clamp(row.lines)}`, text);
    }
    case 'text':
      return html`<p dir="auto" class="ivy-summary" ${at}${clamp(row.lines)}>${pieces(row.text)}</p>`;
    case 'terms':
      return html`<ul class="ivy-terms" ${at}>
        ${row.labels.map(({ label, link: to }) => html`<li>${to ? html`<a href="${to.href}">${label}</a>` : label}</li>`)}
      </ul>`;
    case 'facts':
      return html`<p class="ivy-facts" ${at}>
        ${row.facts.map(({ text, datetime, icon }) => html`<span>${icon && html`<i class="ivy-icon" data-icon="${icon}"></i>`}${datetime === undefined ? text : html`<time datetime="${datetime}">${text}</time>`}</span>`)}
      </p>`;
    case 'mark':
      // what is marked is kept by scripts
      return html``;
    case 'button':
      return html`<p class="ivy-more-of" ${at}>
        ${
          card.leads === 'card' || card.href === null
            ? html`<span class="ivy-read" aria-hidden="true">${row.label}</span>`
            : link(card, [row.label], 'button')
        }
      </p>`;
  }
}

/** A text with what a search matched in it set off. */
function pieces(text: readonly TextPiece[]): (Markup | string)[] {
  return text.map((piece) => (piece.marked ? html`<mark class="ivy-mark">${piece.text}</mark>` : piece.text));
}
