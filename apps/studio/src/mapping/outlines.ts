import type { Mark } from '@ivy/core';
import { idOf, roleOf } from './marks.js';
import type { Outline } from './page-frame.js';
import type { ControlReading, PageReading } from './read-pages.js';

/** The elements a selector finds; none, where it is none. */
export function allAt(within: ParentNode, selector: string): Element[] {
  try {
    return [...within.querySelectorAll(selector)];
  } catch {
    return [];
  }
}

/** The items of a page by its marks. */
export function itemsOf(page: Document, marks: readonly Mark[]): Element[] {
  const item = marks.find((mark) => roleOf(mark) === 'item');
  return item ? allAt(page, item.at) : [];
}

/** What of an item, or of the page, a mark is of. */
export function elementsOf(page: Document, mark: Mark, items: readonly Element[]): Element[] {
  if (mark.in === 'page') return allAt(page, mark.at);
  return items.flatMap((item) => (mark.at === ':scope' ? [item] : allAt(item, mark.at)));
}

/**
 * All that is drawn over a page: items, what is in hand, and what a press would take.
 * @param hand   id of the mark in hand
 * @param hueOf  the hue of a field
 */
export function outlinesOf(
  page: Document,
  marks: readonly Mark[],
  reading: PageReading,
  hand: string | null,
  hueOf: (field: string) => number | null,
): Outline[] {
  const items = itemsOf(page, marks);
  const inHand = marks.find((mark) => idOf(mark) === hand);
  const field = inHand && (inHand.says.field ?? inHand.says.reads ?? inHand.says.facet);
  const lacks = new Set(inHand?.says.field === undefined ? [] : reading.fields.find(({ key }) => key === field)?.lacks);
  const outlines = items.map((element, i): Outline => {
    const words = i < 3 || i === items.length - 1 ? String(i + 1) : undefined;
    return { element, as: lacks.has(i) ? 'lacks' : 'item', ...(words !== undefined && { words }) };
  });
  if (!inHand) return outlines;
  const hue = field ? hueOf(field) : null;
  for (const element of elementsOf(page, inHand, items)) outlines.push({ element, as: 'hand', hue });
  const control = reading.controls.find(({ key }) => key === nameIn(inHand, page));
  if (roleOf(inHand) === 'control' && control) outlines.push(...beadsOf(page, inHand, control, hue));
  return outlines;
}

/** What a marked control is called in addresses. */
export function nameIn(mark: Mark, page: Document): string {
  if (mark.says.as !== undefined) return mark.says.as;
  const element = allAt(page, mark.at)[0];
  const own = element?.matches('[name]') ? element : element?.querySelector('[name]');
  return own?.getAttribute('name') ?? mark.says.reads ?? '';
}

/** Under each box of a control, how many items have what it stands for. */
function beadsOf(page: Document, mark: Mark, { values }: ControlReading, hue: number | null): Outline[] {
  const boxes = elementsOf(page, mark, []).flatMap((one) => [
    ...one.querySelectorAll<HTMLInputElement>('input[type=checkbox], input[type=radio]'),
  ]);
  return boxes.flatMap((box): Outline[] => {
    const label = box.labels?.[0] ?? box;
    const words = label.textContent.trim().replace(/\s+/g, ' ');
    const found = values.find(({ value }) => value === (box.getAttribute('value') ?? words));
    return found
      ? [{ element: label, as: 'bead', hue, words: found.term === null ? 'none' : String(found.count) }]
      : [];
  });
}
