import type { CardRow, CardView, PictureView, TextPiece } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { repeat } from 'lit-html/directives/repeat.js';
import type { Listing } from '../listing/listing.js';
import { follow } from './follow.js';

export function drawCards(listing: Listing, cards: readonly CardView[]): TemplateResult {
  return html`<ul class="ivy-cards" data-as=${listing.placed.arrangement}>
    ${repeat(
      cards,
      // what comes late stands in the places that are there: nothing slides while one reads
      (card) => `${listing.late} ${card.id}`,
      (card) => drawCard(listing, card),
    )}
  </ul>`;
}

function drawCard(listing: Listing, card: CardView): TemplateResult {
  const { pictures, badges } = card;
  return html`<li class="ivy-card" data-post=${card.id} data-leads=${card.leads} ?data-beside=${card.beside}>
    ${pictures.map((picture) => drawPicture(picture, card))}
    ${badges.length > 0 ? html`<p class="ivy-badges">${badges.map(({ text }) => html`<span>${text}</span>`)}</p>` : nothing}
    <div class="ivy-card-text">${card.rows.map((row) => drawRow(listing, row, card))}</div>
    ${card.marksApart ? drawMark(listing, card) : nothing}
  </li>`;
}

/** A ribbon that marks a post, so that one finds it again. */
export function drawMark(
  listing: Listing,
  { id, mark }: CardView,
  words: string | typeof nothing = nothing,
): TemplateResult | typeof nothing {
  if (!mark) return nothing;
  return html`<button
    type="button"
    class="ivy-ribbon"
    aria-pressed=${mark.on}
    aria-label=${mark.label}
    @click=${() => listing.mark(id)}
  >
    <span aria-hidden="true"></span>${words}
  </button>`;
}

/** A link to the post. */
function link({ href, newTab }: CardView, what: unknown, kind: 'words' | 'picture' | 'button'): unknown {
  if (href === null) return what;
  // beside the title a picture leads there too, but is no stop of its own for keys and ears
  const isPicture = kind === 'picture';
  return html`<a
    href=${href}
    class=${kind === 'button' ? 'ivy-read' : nothing}
    target=${newTab === null ? nothing : '_blank'}
    rel=${newTab === null ? nothing : 'noopener'}
    tabindex=${isPicture ? '-1' : nothing}
    aria-hidden=${isPicture ? 'true' : nothing}
    >${what}${newTab === null || isPicture ? nothing : html`<span class="ivy-unseen"> (${newTab})</span>`}</a
  >`;
}

/** A heading of a level; a line of text for none. */
function heading(level: number, at: string, lines: unknown, text: unknown): TemplateResult {
  if (level === 3) return html`<h3 dir="auto" class="ivy-title" data-at=${at} style=${lines}>${text}</h3>`;
  return html`<p
    dir="auto"
    class="ivy-title"
    data-at=${at}
    style=${lines}
    role=${level === 0 ? nothing : 'heading'}
    aria-level=${level || nothing}
  >
    ${text}
  </p>`;
}

const clamp = (lines: number) => (lines === 0 ? nothing : `--ivy-lines:${lines}`);

export function drawRow(listing: Listing, row: CardRow, card: CardView): TemplateResult {
  const at = row.at.join();
  switch (row.form) {
    case 'title': {
      const leads = card.leads === 'card' || card.leads === 'title';
      const text = leads ? link(card, pieces(row.text), 'words') : pieces(row.text);
      return heading(row.level, at, clamp(row.lines), text);
    }
    case 'text':
      return html`<p dir="auto" class="ivy-summary" data-at=${at} style=${clamp(row.lines)}>${pieces(row.text)}</p>`;
    case 'terms':
      return html`<ul class="ivy-terms" data-at=${at}>
        ${row.labels.map(({ label, link: to }) => html`<li>${to ? html`<a href=${to.href} @click=${follow(to, (next) => void listing.choose(next))}>${label}</a>` : label}</li>`)}
      </ul>`;
    case 'facts':
      return html`<p class="ivy-facts" data-at=${at}>
        ${row.facts.map(({ text, datetime, icon }) => html`<span>${icon ? html`<i class="ivy-icon" data-icon=${icon}></i>` : nothing}${datetime === undefined ? text : html`<time datetime=${datetime}>${text}</time>`}</span>`)}
      </p>`;
    case 'mark':
      return html`<p class="ivy-more-of" data-at=${at}>${drawMark(listing, card, row.words)}</p>`;
    case 'button':
      // of a card that leads there as a whole it is a picture of a button: one stop for keys is enough
      return html`<p class="ivy-more-of" data-at=${at}>
        ${card.leads === 'card' || card.href === null ? html`<span class="ivy-read" aria-hidden="true">${row.label}</span>` : link(card, row.label, 'button')}
      </p>`;
  }
}

/** A text with what a search matched in it set off. */
function pieces(text: readonly TextPiece[]): unknown {
  return text.map((piece) => (piece.marked ? html`<mark class="ivy-mark">${piece.text}</mark>` : piece.text));
}

export function drawPicture({ address, sizes, alt, aspect, fit, at }: PictureView, card: CardView): TemplateResult {
  const picture = html`<img
    sizes=${sizes?.sizes ?? nothing}
    srcset=${sizes?.srcset ?? nothing}
    src=${address!}
    alt=${alt}
    loading=${card.soon ? 'eager' : 'lazy'}
    decoding="async"
    width="320"
    height="180"
    style="object-fit:${fit}"
    fetchpriority=${card.soon ? nothing : 'low'}
    @error=${({ target }: Event) => (target as Element).closest('.ivy-picture')?.toggleAttribute('data-missing', true)}
  />`;
  const isMissing = address === null;
  return html`<div class="ivy-picture" ?data-missing=${isMissing} data-at=${at.join()} style="aspect-ratio:${aspect}">
    ${isMissing ? nothing : card.leads === 'title' ? link(card, picture, 'picture') : picture}
  </div>`;
}
