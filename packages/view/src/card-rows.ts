import type { CardPart } from '@ivy/core';

/** What parts of a kind that is short share a row by; empty for those that have a row of their own. */
function rowOf(part: CardPart): '' | 'facts' | 'terms' {
  if (part.show === 'terms') return part.as === 'text' ? 'facts' : 'terms';
  if (part.show === 'yes-no') return part.as === 'fact' ? 'facts' : '';
  return part.show === 'date' || part.show === 'number' || part.show === 'value' ? 'facts' : '';
}

/** Neighbours of a kind that is short share a row: dates, numbers and yes-no marks; terms. */
export function cardRows(parts: readonly CardPart[]): CardPart[][] {
  const rows: CardPart[][] = [];
  let before: ReturnType<typeof rowOf> = '';
  for (const part of parts) {
    const row = rowOf(part);
    if (row !== '' && row === before) rows[rows.length - 1]!.push(part);
    else rows.push([part]);
    before = row;
  }
  return rows;
}
