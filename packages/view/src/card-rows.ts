import type { CardPart } from '@ivy/core';

/** Parts that are a few words, beside those that are so by how they are shown. */
const shortParts = new Set(['date', 'number', 'value', 'reading-time']);

/** What parts of a kind that is short share a row by; empty for those that have a row of their own. */
function rowOf(part: CardPart): '' | 'facts' | 'terms' {
  if (part.show === 'terms') return part.as === 'text' ? 'facts' : 'terms';
  if (part.show === 'yes-no') return part.as === 'fact' ? 'facts' : '';
  return shortParts.has(part.show) ? 'facts' : '';
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
