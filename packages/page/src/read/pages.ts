import { itemsIn } from './items.js';

/** Pages and items that are followed at most. */
export const most = { pages: 200, items: 20_000 };

/** What the other pages of a list have: items before and behind those of this one. */
export interface Followed {
  before: HTMLElement[];
  behind: HTMLElement[];
  pages: number;
  /** Items of the fullest of them: a last page may have fewer. */
  size: number;
  /** False where a page could not be read, or there are more than are followed. */
  isWhole: boolean;
}

/** The page that is next to one, on the same site; null for none. */
export function neighbour(page: Document, name: string, rel: 'next' | 'prev', base: string): string | null {
  const pager = page.querySelector(`[data-ivy-pager="${CSS.escape(name)}"]`);
  const link =
    pager?.querySelector(`a[rel~="${rel}"]`) ??
    page.head.querySelector(`link[rel~="${rel}"]`) ??
    (pager && byNumber(pager, rel === 'next' ? 1 : -1));
  const href = link?.getAttribute('href');
  if (!href || !URL.canParse(href, base)) return null;
  const url = new URL(href, base);
  return url.origin === new URL(base).origin ? url.href : null;
}

/** The link of a pager of numbers to the page before or after the one that is marked, or is no link. */
function byNumber(pager: Element, by: 1 | -1): Element | null {
  const numbers = [...pager.querySelectorAll('a, [aria-current], span, strong, b, em, li')].filter((one) =>
    /^\s*\d{1,6}\s*$/.test(one.textContent),
  );
  const links = numbers.filter((one) => one.tagName === 'A');
  const now =
    links.find((one) => one.hasAttribute('aria-current')) ??
    numbers.find((one) => !links.some((link) => link === one || link.contains(one) || one.contains(link)));
  return now ? (links.find((one) => Number(one.textContent) === Number(now.textContent) + by) ?? null) : null;
}

/** Whether a list goes on on other pages. */
export function goesOn(name: string): boolean {
  return (['next', 'prev'] as const).some((rel) => neighbour(document, name, rel, location.href) !== null);
}

/** What is done meanwhile: with each page before it is read, and with the number of items that are there. */
export interface Following {
  prepare?: (page: Document) => void;
  report?: (items: number) => void;
}

/** Reads the other pages of a list, one after the other, so that what is chosen is chosen from all of it. */
export async function followPages(
  name: string,
  signal: AbortSignal,
  { prepare = () => {}, report = () => {} }: Following = {},
): Promise<Followed> {
  const followed: Followed = { before: [], behind: [], pages: 0, size: 0, isWhole: true };
  const seen = new Set([location.href.split('#')[0]!]);
  for (const rel of ['next', 'prev'] as const) {
    let url = neighbour(document, name, rel, location.href);
    while (url !== null && !seen.has(url)) {
      if (seen.size > most.pages || followed.before.length + followed.behind.length >= most.items) {
        followed.isWhole = false;
        break;
      }
      seen.add(url);
      const page = await read(url, signal);
      if (page) prepare(page);
      const list = page?.querySelector(`[data-ivy-list="${CSS.escape(name)}"]`);
      if (!page || !list) {
        followed.isWhole = false;
        break;
      }
      const items = itemsIn(list).map((item) => withWholeAddresses(document.importNode(item, true), url!));
      if (rel === 'next') followed.behind.push(...items);
      else followed.before.unshift(...items);
      followed.pages++;
      report(followed.before.length + followed.behind.length);
      followed.size = Math.max(followed.size, items.length);
      url = neighbour(page, name, rel, url);
    }
  }
  return followed;
}

/**
 * Has the items of other pages stand where they belong, out of sight until an answer shows them.
 * @returns all items, in their order
 */
export function putOthers(list: Element, { before, behind }: Pick<Followed, 'before' | 'behind'>): HTMLElement[] {
  const others = new Set([...before, ...behind]);
  const own = itemsIn(list).filter((item) => !others.has(item));
  for (const item of others) item.hidden = true;
  if (own.length === 0) list.append(...before, ...behind);
  own[0]?.before(...before);
  own.at(-1)?.after(...behind);
  return [...before, ...own, ...behind];
}

async function read(url: string, signal: AbortSignal): Promise<Document | null> {
  try {
    const response = await fetch(url, { signal, credentials: 'same-origin' });
    if (!response.ok || new URL(response.url || url).origin !== location.origin) return null;
    return new DOMParser().parseFromString(await response.text(), 'text/html');
  } catch (error) {
    if (signal.aborted) throw error;
    return null;
  }
}

/** What an item of another page leads to and shows is relative to that page. */
function withWholeAddresses(item: HTMLElement, base: string): HTMLElement {
  for (const name of ['href', 'src', 'poster']) {
    for (const one of [item, ...item.querySelectorAll(`[${name}]`)]) {
      const address = one.getAttribute(name);
      if (address && !/^(#|[a-z][a-z0-9+.-]*:)/i.test(address) && URL.canParse(address, base))
        one.setAttribute(name, new URL(address, base).href);
    }
  }
  return item;
}
