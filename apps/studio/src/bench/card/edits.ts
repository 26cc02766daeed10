import { cardParts, makePart, proposePart, type CardPart, type Field, type Lens, type PartName } from '@ivy/core';

/*
 * What one can do to a card: pure functions from lens to lens. A card that was made by itself from what the fields are for
 * is written down with the first change.
 */

/** The parts a card shows, in order. */
export function partsOf(lens: Lens, fields: readonly Field[]): CardPart[] {
  return cardParts(lens, fields);
}

function withParts(lens: Lens, parts: CardPart[]): Lens {
  return { ...lens, card: { ...lens.card, parts } };
}

/** Puts a part for a field at the end, or a part that reads none. */
export function addPart(lens: Lens, fields: readonly Field[], what: Field | PartName): { lens: Lens; at: number } {
  const parts = partsOf(lens, fields);
  const part =
    typeof what === 'string'
      ? makePart({ ...readFrom(what, fields), show: what } as Parameters<typeof makePart>[0])
      : proposePart(what);
  return part ? { lens: withParts(lens, [...parts, part]), at: parts.length } : { lens, at: parts.length - 1 };
}

/** Where a part that stands for no field reads from: reading time from the minutes there are, or the longest text. */
function readFrom(show: PartName, fields: readonly Field[]): Partial<CardPart> {
  if (show !== 'reading-time') return {};
  const body = fields.find(({ role }) => role === 'body') ?? fields.find(({ type }) => type === 'html');
  return { from: (body ?? fields.find(({ role }) => role === 'summary'))?.key ?? '' };
}

/** Takes a part away. A card keeps one, since one without any would be made by itself again. */
export function removePart(lens: Lens, fields: readonly Field[], at: number): Lens {
  const parts = partsOf(lens, fields);
  return parts.length > 1 ? withParts(lens, parts.toSpliced(at, 1)) : lens;
}

/** Takes a part out and puts it where another one is. */
export function placePart(lens: Lens, fields: readonly Field[], from: number, to: number): Lens {
  const parts = partsOf(lens, fields);
  const part = parts[from];
  if (!part || to < 0 || to >= parts.length || from === to) return lens;
  return withParts(lens, parts.toSpliced(from, 1).toSpliced(to, 0, part));
}

/** Changes settings of a part. */
export function changePart(lens: Lens, fields: readonly Field[], at: number, change: Partial<CardPart>): Lens {
  const parts = partsOf(lens, fields);
  return withParts(
    lens,
    parts.map((part, i) => (i === at ? ({ ...part, ...change } as CardPart) : part)),
  );
}

/** Shows a field as another part; what both know is kept. A part that reads no field stays as it is. */
export function showAs(lens: Lens, fields: readonly Field[], at: number, show: PartName): Lens {
  const parts = partsOf(lens, fields);
  const { field, before, words } = parts[at]!;
  if (field === '') return lens;
  return withParts(lens, parts.with(at, makePart({ show, field, before, words })));
}
