import { decodeText } from '../decode.js';
import { attribute, documentOf, elementsOf } from '../html/elements.js';
import { isObject } from '../json/is-object.js';

/** How an endpoint’s posts go on beyond what one answer holds. */
export type Paging =
  | { by: 'link'; said: string }
  /** A field of the answer names the next address. */
  | { by: 'field'; field: string }
  /** A number in the address goes up: of pages by one, of posts by as many as there were. */
  | { by: 'page' | 'offset'; parameter: string };

/** An answer of an endpoint, as far as it tells what comes next. */
export interface Answered {
  address: string;
  /** What its `Link` header says. */
  link: string;
  bytes: Uint8Array;
  format: string;
}

/** Characters of a feed or a page that are looked at for a link to the next. */
const looked = 200_000;

/** The address of the next page that an answer names, and by what it names it; null where it names none. */
export function nextOf(answered: Answered): { address: string; paging: Paging } | null {
  const { address, link, bytes, format } = answered;
  const found = (next: string | null, paging: Paging) => {
    if (next === null || !URL.canParse(next, address)) return null;
    const url = new URL(next, address);
    const isOther = /^https?:$/.test(url.protocol) && url.href !== address;
    return isOther ? { address: url.href, paging } : null;
  };
  const said = found(nextInHeader(link), { by: 'link', said: 'Link header' });
  if (said) return said;
  if (format === 'json' || format === 'jsonfeed') {
    const field = nextInJson(bytes);
    return field && found(field.address, { by: 'field', field: field.field });
  }
  if (format === 'atom' || format === 'rss') {
    const start = decodeText(bytes.subarray(0, looked));
    const tag = /<(?:\w+:)?link\b[^>]*\brel=["']next["'][^>]*>/i.exec(start)?.[0] ?? '';
    const href = /\bhref=["']([^"']+)["']/i.exec(tag)?.[1]?.replaceAll('&amp;', '&') ?? null;
    return found(href, { by: 'link', said: 'link of the feed' });
  }
  if (format === 'html') return found(nextInPage(bytes), { by: 'link', said: 'link of the page' });
  return null;
}

/** The target of `rel=next` in a `Link` header (RFC 8288). */
export function nextInHeader(link: string): string | null {
  for (const [, target, parameters] of link.matchAll(/<([^>]*)>((?:\s*;\s*[^;,"=]+(?:=(?:"[^"]*"|[^;,"]*))?)*)/g)) {
    const rel = /;\s*rel\s*=\s*(?:"([^"]*)"|([^\s;,]+))/i.exec(parameters ?? '');
    const rels = (rel?.[1] ?? rel?.[2] ?? '').toLowerCase().split(/\s+/);
    if (rels.includes('next')) return target!;
  }
  return null;
}

/** Names a field has that leads on. */
const nextNames =
  /^(?:@?(?:odata\.)?next(?:_?(?:url|page|link|href|uri))?|nextpageurl|next_page_url|@odata\.nextlink)$/i;
const holders = /^(?:_?links?|paging|pagination|meta|page|pages|info|navigation|cursor)$/i;

function nextInJson(bytes: Uint8Array): { address: string; field: string } | null {
  const text = decodeText(bytes);
  // an answer was read once already: it is read again only where something in it is called so
  if (!/"[^"]{0,20}next[^"]{0,20}"\s*:/i.test(text)) return null;
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return null;
  }
  const visit = (value: unknown, path: string, depth: number): { address: string; field: string } | null => {
    if (!isObject(value) || depth > 3) return null;
    for (const [key, inner] of Object.entries(value)) {
      if (!nextNames.test(key)) continue;
      const address = typeof inner === 'string' ? inner : isObject(inner) ? inner.href : undefined;
      if (typeof address === 'string' && isAddress(address)) return { address, field: path + key };
    }
    for (const [key, inner] of Object.entries(value)) {
      if (!holders.test(key)) continue;
      const found = visit(inner, `${path}${key}.`, depth + 1);
      if (found) return found;
    }
    return null;
  };
  return visit(data, '', 0);
}

function isAddress(text: string): boolean {
  return /^(?:https?:\/\/|\/|\?)\S+$/.test(text);
}

function nextInPage(bytes: Uint8Array): string | null {
  for (const element of elementsOf(documentOf(decodeText(bytes)))) {
    if (element.tagName !== 'link' && element.tagName !== 'a') continue;
    const rels = attribute(element, 'rel').toLowerCase().split(/\s+/);
    if (rels.includes('next')) return attribute(element, 'href') || null;
  }
  return null;
}

const pageNames = ['page', 'p', 'paged', 'page_number', 'pageNumber'];
const offsetNames = ['offset', 'start', 'skip', 'from'];

/** Ways of going on by numbers that are worth a try, the likeliest first: those the address has names for, and then others. */
export function waysToTry(address: string): Paging[] {
  const url = new URL(address);
  const has = (name: string) => /^\d+$/.test(url.searchParams.get(name) ?? '');
  const ways = [
    ...pageNames.map((parameter): Paging => ({ by: 'page', parameter })),
    ...offsetNames.map((parameter): Paging => ({ by: 'offset', parameter })),
  ];
  const said = ways.filter((way) => 'parameter' in way && has(way.parameter));
  if (said.length > 0) return said;
  return [
    { by: 'page', parameter: 'page' },
    { by: 'offset', parameter: 'offset' },
  ];
}

/**
 * The address of a later page, by number.
 * @param pages    how many were read
 * @param records  how many posts those had
 */
export function numberedPage(address: string, way: Paging, pages: number, records: number): string {
  if (way.by !== 'page' && way.by !== 'offset') return address;
  const url = new URL(address);
  const first = Number(url.searchParams.get(way.parameter) ?? (way.by === 'page' ? 1 : 0));
  url.searchParams.set(way.parameter, String(first + (way.by === 'page' ? pages : records)));
  return url.href;
}

/** How posts go on, in a few words for people. */
export function pagingWords(paging: Paging | null): string {
  if (!paging) return 'all in one answer';
  if (paging.by === 'link') return `page by page, by the ${paging.said}`;
  if (paging.by === 'field') return `page by page, by “${paging.field}” of the answer`;
  return `page by page, by “${paging.parameter}=” in the address`;
}
