import { cellOf, headViews, type CardView, type HeadView, type Shown } from '@ivy/view';
import { html, type Markup } from './markup.js';
import { drawPicture, drawRow } from './plain-cards.js';

/** The posts of a page as a table, as the page script draws it. Heads that have an order are links to it. */
export function drawTable(shown: Shown, cards: readonly CardView[]): Markup {
  const heads = headViews(shown);
  return html`<table class="ivy-table">
    <thead>
      <tr>
        ${heads.map(drawHead)}
      </tr>
    </thead>
    <tbody>
      ${cards.map(
        (card) =>
          html`<tr class="ivy-row" data-post="${card.id}">
            ${heads.map((head) => drawCell(card, head))}
          </tr>`,
      )}
    </tbody>
  </table>`;
}

function drawHead({ label, sort, isNumber }: HeadView): Markup {
  const order = sort?.order;
  return html`<th scope="col" ${isNumber && html` data-number`}${order && html` aria-sort="${order}"`}>
    ${sort ? html`<a class="ivy-head-sort" href="${sort.link.href}">${label}</a>` : label}
  </th>`;
}

function drawCell(card: CardView, { at, label, isNumber }: HeadView): Markup {
  const found = cellOf(card, at);
  const number = isNumber && html` data-number`;
  if (!found) return html`<td ${number}></td>`;
  const isNamed = 'row' in found && found.row.form !== 'title' && label !== '';
  return html`<td ${isNamed && html` data-label="${label}"`}${number}>
    ${'picture' in found ? drawPicture(found.picture, card) : drawRow(found.row, card)}
  </td>`;
}
