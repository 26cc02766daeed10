import { selectorOf } from './selector.js';

/** Elements of a page that are the items of one list. */
export interface Alike {
  list: Element;
  items: Element[];
  /** Selectors of the list, and of its items, on the page. */
  at: { list: string; item: string };
}

const neverItems = new Set([
  'TH',
  'TD',
  'OPTION',
  'BR',
  'COL',
  'SOURCE',
  'LINK',
  'META',
  'SCRIPT',
  'STYLE',
  'TEMPLATE',
]);

/**
 * Lists that an element may be in an item of, the likeliest first: each has several elements of one make.
 * @returns empty where nothing around it comes more than once
 */
export function listsAround(element: Element): Alike[] {
  const found: { alike: Alike; weight: number }[] = [];
  for (let item: Element | null = element; item && item.tagName !== 'BODY'; item = item.parentElement) {
    const alike = alikeOf(item);
    // a row of cards is no item where the cards are
    if (alike && alike.list !== found.at(-1)?.alike.list) found.push({ alike, weight: weightOf(alike.items) });
  }
  return found.sort((a, b) => b.weight - a.weight).map(({ alike }) => alike);
}

/** Lists that a page has, the likeliest first. */
export function listsOn(page: Document, most = 5): Alike[] {
  const found = new Map<Element, { alike: Alike; weight: number }>();
  for (const list of page.body.querySelectorAll('*')) {
    const first = list.firstElementChild;
    if (list.children.length < 2 || !first) continue;
    const item = [...list.children].find((one) => !neverItems.has(one.tagName)) ?? first;
    const alike = alikeOf(item);
    if (alike && !found.has(alike.list)) found.set(alike.list, { alike, weight: weightOf(alike.items) });
  }
  const sorted = [...found.values()].filter(({ alike }) => alike.items.length > 2).sort((a, b) => b.weight - a.weight);
  return sorted.slice(0, most).map(({ alike }) => alike);
}

/** More items weigh more, and so do items that hold something, such as a link and a date. */
function weightOf(items: readonly Element[]): number {
  const some = items.slice(0, 5);
  const inside = some.reduce((sum, one) => sum + Math.min(one.querySelectorAll('*').length, 8), 0) / some.length;
  const hasLink = some.filter((one) => one.querySelector('a[href]')).length / some.length;
  const isControl = some.some((one) => one.querySelector('input, select') || one.matches('label, nav *'));
  return items.length * (1 + inside) * (1 + hasLink) * (isControl ? 0.05 : 1);
}

/** The list an element is an item of by its make: its like beside it, or in columns alike beside the one it is in. */
function alikeOf(item: Element): Alike | null {
  const list = item.parentElement;
  if (!list || neverItems.has(item.tagName) || list.tagName === 'HTML') return null;
  const step = stepOf(item, [...list.children]);
  const beside = [...list.children].filter((one) => one.matches(step));
  const outer = list.parentElement;
  if (outer && outer.tagName !== 'BODY' && outer.tagName !== 'HTML') {
    const column = stepOf(list, [...outer.children]);
    const columns = [...outer.children].filter((one) => one.matches(column));
    const items = columns.flatMap((one) => [...one.children].filter((child) => child.matches(step)));
    // cards in rows; one that is alone in its column goes with the column
    if (columns.length > 1 && items.length > columns.length && isGrid(list, step)) {
      return described(outer, items, `${column} > ${step}`);
    }
  }
  return beside.length > 1 ? described(list, beside, step) : null;
}

/** Whether what holds an item holds nothing else to speak of: then it is a column or a row. */
function isGrid(column: Element, step: string): boolean {
  return [...column.children].every((one) => one.matches(step));
}

function described(list: Element, items: Element[], step: string): Alike {
  const at = selectorOf(list, list.ownerDocument);
  return { list, items, at: { list: at, item: `${at} > ${step}` } };
}

/** Names an element and its like: by the classes they share. */
function stepOf(element: Element, beside: readonly Element[]): string {
  const tag = element.tagName.toLowerCase();
  const same = beside.filter((one) => one.tagName === element.tagName);
  const shared = [...element.classList].filter(
    (name) => /^[a-z_-]+$/i.test(name) && same.filter((one) => one.classList.contains(name)).length > same.length / 2,
  );
  return tag + shared.map((name) => `.${CSS.escape(name)}`).join('');
}
