import { cellOf, headViews, type CardView, type HeadView, type Shown } from '@ivy/view';
import type { html as Html, TemplateResult } from 'lit-html';
import type { drawMark, drawPicture, drawRow } from '../draw/cards.js';
import type { follow } from '../draw/follow.js';
import type { Listing } from '../listing/listing.js';

/** What draws in the page script, handed in so that it does not come a second time. */
export interface Drawing {
  html: typeof Html;
  /** What draws nothing. */
  nothing: symbol;
  drawRow: typeof drawRow;
  drawPicture: typeof drawPicture;
  drawMark: typeof drawMark;
  follow: typeof follow;
}

/** The posts of a page as a table, a column a part of the card. Heads that have an order choose it. */
export function drawTable(
  { html, nothing, drawRow, drawPicture, drawMark, follow }: Drawing,
  listing: Listing,
  shown: Shown,
  cards: readonly CardView[],
): TemplateResult {
  const heads = headViews(shown);
  const canMark = cards.some(({ mark, marksApart }) => mark && marksApart);
  const head = ({ label, sort, isNumber }: HeadView) =>
    html`<th scope="col" ?data-number=${isNumber} aria-sort=${sort?.order ?? nothing}>
      ${
        sort
          ? html`<a
              class="ivy-head-sort"
              href=${sort.link.href}
              @click=${follow(sort.link, (next) => void listing.choose(next))}
              >${label}</a
            >`
          : label
      }
    </th>`;
  const cell = (card: CardView, { at, label, isNumber }: HeadView) => {
    const found = cellOf(card, at);
    if (!found) return html`<td ?data-number=${isNumber}></td>`;
    const isNamed = 'row' in found && found.row.form !== 'title';
    return html`<td data-label=${isNamed && label !== '' ? label : nothing} ?data-number=${isNumber}>
      ${'picture' in found ? drawPicture(found.picture, card) : drawRow(listing, found.row, card)}
    </td>`;
  };
  return html`<table class="ivy-table">
    <thead>
      <tr>
        ${heads.map(head)} ${canMark ? html`<td></td>` : nothing}
      </tr>
    </thead>
    <tbody>
      ${cards.map(
        (card) =>
          html`<tr class="ivy-row" data-post=${card.id}>
            ${heads.map((one) => cell(card, one))} ${canMark ? html`<td>${drawMark(listing, card)}</td>` : nothing}
          </tr>`,
      )}
    </tbody>
  </table>`;
}
