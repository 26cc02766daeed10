import { finished, meant, type FieldType, type RawRecord, type Steps } from '@ivy/core';
import type { Notes } from '../notes.js';

/** The items of a list as they stand on the page, with what is marked in them. */
export interface Items {
  elements: HTMLElement[];
  records: RawRecord[];
  /** Types that the page says itself. */
  types: Map<string, FieldType>;
}

const types: readonly string[] = ['text', 'terms', 'date', 'datetime', 'number', 'boolean', 'link', 'image'];

/** The elements that are items: those that say so, or else what is in the list. */
export function itemsIn(list: Element): HTMLElement[] {
  const marked = [...list.querySelectorAll<HTMLElement>('[data-ivy-item]')];
  const own = marked.filter((one) => one.closest('[data-ivy-list]') === list);
  if (own.length > 0) return own;
  const rows =
    list instanceof HTMLTableElement ? [...list.tBodies].flatMap((body) => [...body.rows]) : [...list.children];
  return rows.filter(
    (one): one is HTMLElement => one instanceof HTMLElement && !/^(TEMPLATE|SCRIPT|STYLE)$/.test(one.tagName),
  );
}

/** Items that are read in one step. */
const aStep = 200;

/** Reads what is marked in some items. Two writings of one field are one, and that is told. */
export function readItems(elements: HTMLElement[], notes: Notes): Items {
  return finished(readItemsInSteps(elements, notes));
}

/** The same in steps, so that many items hold nothing up. */
export function* readItemsInSteps(elements: HTMLElement[], notes: Notes): Steps<Items> {
  const found: Items = { elements, records: [], types: new Map() };
  const names: string[] = [];
  const isNested = elements[0]?.ownerDocument.querySelector(nested) !== null;
  for (const element of elements) {
    if (found.records.length % aStep === aStep - 1) yield;
    const values = new Map<string, string[]>();
    for (const holder of holdersIn(element, isNested)) {
      const written = holder.getAttribute('data-ivy-field')!.trim().slice(0, 100);
      if (written === '') continue;
      const key = meant(written, names) ?? written;
      if (!names.includes(key)) names.push(key);
      if (key !== written)
        notes.say(`a field is called “${key}” in one item and “${written}” in another; both are read as one.`);
      readType(holder, key, found.types, notes);
      values.set(key, [...(values.get(key) ?? []), ...valuesOf(holder)]);
    }
    // from entries, so that a field may be called like what every object has
    found.records.push(Object.fromEntries([...values].flatMap(([key, all]) => recordEntry(key, all))));
  }
  return found;
}

/** Lists and items within items: whose a field is has to be asked only where there are some. */
const nested = '[data-ivy-item] [data-ivy-item], [data-ivy-item] [data-ivy-list], [data-ivy-list] [data-ivy-list]';

/** What holds values in an item: itself, and what is in it and in no item within it. */
function holdersIn(item: HTMLElement, isNested: boolean): HTMLElement[] {
  const inner = [...item.querySelectorAll<HTMLElement>('[data-ivy-field]')];
  if (!isNested) return item.hasAttribute('data-ivy-field') ? [item, ...inner] : inner;
  const own = inner.filter((one) => {
    const nearest = one.parentElement!.closest('[data-ivy-item], [data-ivy-list]');
    return nearest === null || nearest === item || nearest.contains(item);
  });
  return item.dataset.ivyField === undefined ? own : [item, ...own];
}

function readType(holder: HTMLElement, key: string, said: Map<string, FieldType>, notes: Notes): void {
  const type = holder.getAttribute('data-ivy-type');
  if (type === null || said.has(key)) return;
  if (types.includes(type)) said.set(key, type as FieldType);
  else notes.say(`“${type}” is no type of a field; ${types.join(', ')} are.`);
}

/** A field of a record: left out where it has no value, and a list where it has several. */
function recordEntry(key: string, values: string[]): [string, string | string[]][] {
  if (values.length === 0) return [];
  return [[key, values.length === 1 ? values[0]! : values]];
}

/** The values an element holds: of an attribute, or of its text; cut where it says so. */
export function valuesOf(holder: HTMLElement): string[] {
  const text = textOf(holder);
  const separator = holder.getAttribute('data-ivy-split');
  const parts = separator ? text.split(separator) : [text];
  return parts.map((part) => part.trim().replace(/\s+/g, ' ')).filter((part) => part !== '');
}

function textOf(holder: HTMLElement): string {
  const from = holder.getAttribute('data-ivy-from');
  if (from !== null) return holder.getAttribute(from) ?? '';
  // elements of HTML that say their value for machines
  const attribute = { TIME: 'datetime', DATA: 'value', METER: 'value', META: 'content', IMG: 'src' }[holder.tagName];
  return (attribute === undefined ? null : holder.getAttribute(attribute)) ?? holder.textContent;
}
