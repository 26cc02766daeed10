import { isParting, loose, partingSigns } from '@ivy/core';
import { selectorInItems } from './selector.js';

/** Something in the items that could be a field. */
export interface FieldProposal {
  key: string;
  at: string;
  /** The attribute that holds its value; null for its text. */
  from: string | null;
  /** What parts several values in it; null where each holds one. */
  split: string | null;
  /** Items that have it. */
  filled: number;
  samples: string[];
}

/** Items that are looked through for what they hold. */
const lookedAt = 40;

/** What the items of a list hold, in the order it stands in them: texts, days, links and pictures. */
export function proposeFields(
  items: readonly Element[],
  marked: readonly { at: string; key: string }[] = [],
): FieldProposal[] {
  const found = new Map<string, FieldProposal>();
  const taken = new Set(marked.map(({ key }) => loose(key)));
  for (const item of items.slice(0, lookedAt)) {
    for (const element of [item, ...item.querySelectorAll('*')]) {
      if (!holdsSomething(element) || marked.some(({ at }) => isSame(element, item, at))) continue;
      const at = selectorInItems(element, item, items);
      if (found.has(at)) continue;
      const proposal = fieldAt(at, element, item, items, taken);
      if (proposal) found.set(at, proposal);
    }
  }
  return [...found.values()].filter(({ filled }) => filled > items.length / 20);
}

/** Whether something marked in an item is an element, or one around or in it that says the same. */
function isSame(element: Element, item: Element, at: string): boolean {
  const holders = at === ':scope' ? [item] : [...item.querySelectorAll(at)];
  return holders.some(
    (one) =>
      one === element ||
      ((one.contains(element) || element.contains(one)) && one.textContent.trim() === element.textContent.trim()),
  );
}

/** A field of what one element is in its item. */
export function fieldOf(
  element: Element,
  item: Element,
  items: readonly Element[],
  names: Iterable<string>,
): FieldProposal | null {
  return fieldAt(selectorInItems(element, item, items), element, item, items, new Set([...names].map(loose)));
}

function fieldAt(
  at: string,
  element: Element,
  item: Element,
  items: readonly Element[],
  taken: Set<string>,
): FieldProposal | null {
  const from = fromOf(element);
  const values = items.map((one) => valuesAt(one, at, from));
  const filled = values.filter((one) => one.length > 0).length;
  if (filled === 0) return null;
  const key = freeName(nameOf(element, item), taken);
  taken.add(loose(key));
  return { key, at, from, split: separatorOf(values), filled, samples: values.flat().slice(0, 3) };
}

function valuesAt(item: Element, at: string, from: string | null): string[] {
  const holders = at === ':scope' ? [item] : [...item.querySelectorAll(at)];
  return holders.flatMap((one) => textOf(one, from) || []);
}

function textOf(element: Element, from: string | null): string {
  const own = element.tagName === 'TIME' ? element.getAttribute('datetime') : null;
  return ((from === null ? own : element.getAttribute(from)) ?? element.textContent).trim().replace(/\s+/g, ' ');
}

/** What parts values in a text: a sign that comes in several of them, and whose parts come again elsewhere. */
export function separatorOf(values: readonly string[][]): string | null {
  if (values.some((one) => one.length > 1)) return null;
  const texts = values.flat();
  return partingSigns.find((sign) => isParting(sign, texts)) ?? null;
}

/** Whether an element holds a value itself, rather than what is in it. */
function holdsSomething(element: Element): boolean {
  if (/^(IMG|TIME|DATA|METER)$/.test(element.tagName)) return true;
  if (/^(SCRIPT|STYLE|TEMPLATE|SVG|PATH|BUTTON|INPUT|SELECT|OPTION|LABEL)$/i.test(element.tagName)) return false;
  if (element.closest('time, button, svg')) return false;
  return [...element.childNodes].some((one) => one.nodeType === 3 && /[\p{L}\p{N}]/u.test(one.textContent ?? ''));
}

function fromOf(element: Element): string | null {
  return element.tagName === 'IMG' ? 'src' : null;
}

/** What an element is called by whoever made the page: by itself, by the head of its column, or by the term it describes. */
function nameOf(element: Element, item: Element): string {
  if (element.tagName === 'IMG') return 'picture';
  const said = element.getAttribute('itemprop') ?? '';
  if (said !== '') return said;
  const head = headOf(element.closest('td, th'), item);
  if (head !== '') return head;
  for (let one: Element | null = element; one && one !== item; one = one.parentElement) {
    const name = [...one.classList].map(barest).find((word) => word !== '');
    if (name) return name;
    if (/^H[1-6]$/.test(one.tagName)) return 'title';
  }
  if (element.tagName === 'TIME') return 'date';
  if (element.tagName === 'DD') {
    const term = element.previousElementSibling?.textContent.trim() ?? '';
    if (term !== '') return term;
  }
  return element.tagName === 'A' ? 'title' : 'text';
}

/** The head of the column a cell is in. */
function headOf(cell: Element | null, item: Element): string {
  const table = item.closest('table');
  if (!cell || !table) return '';
  const at = [...(cell.parentElement?.children ?? [])].indexOf(cell);
  return table.tHead?.rows[0]?.cells[at]?.textContent.trim() ?? '';
}

/** The word of a class that says what something is, without what it is part of: `card__date` is a date. */
function barest(name: string): string {
  const word = name.split(/__|--|_/).find((part, i, all) => part !== '' && i === Math.min(1, all.length - 1)) ?? '';
  const last = word.split('-').at(-1) ?? '';
  return /^[a-z]{3,20}$/i.test(last) &&
    !/^(text|col|row|item|card|wrap|inner|flex|grid|small|large|muted|bold|link)$/i.test(last)
    ? last
    : '';
}

function freeName(name: string, taken: ReadonlySet<string>): string {
  const base =
    name
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'field';
  for (let n = 1; ; n++) {
    const one = n === 1 ? base : `${base}-${n}`;
    if (!taken.has(loose(one))) return one;
  }
}
