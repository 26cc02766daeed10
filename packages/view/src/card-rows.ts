import type { CardPart } from '@ivy/core';

/** Neighbours of a kind that is short share a row: dates, numbers and yes-no marks; terms. */
export function cardRows(parts: readonly CardPart[]): CardPart[][] {
  const rows: CardPart[][] = [];
  let kindBefore = '';
  for (const part of parts) {
    const kind = ['date', 'number', 'yes-no'].includes(part.show) ? 'facts' : part.show === 'terms' ? 'terms' : '';
    if (kind !== '' && kind === kindBefore) rows[rows.length - 1]!.push(part);
    else rows.push([part]);
    kindBefore = kind;
  }
  return rows;
}
