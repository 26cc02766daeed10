import { attribute, documentOf, elementsOf, textOf, type Element } from './elements.js';

/** What of a page says how it looks. */
export interface PageSheets {
  title: string;
  /** In the order of the page: rules it carries, or where they are. */
  sheets: ({ rules: string } | { address: string })[];
}

/**
 * Finds the sheets of a page.
 * @param page  its HTML
 * @param address  where it came from, which its own addresses are relative to
 */
export function pageSheets(page: string, address: string): PageSheets {
  const found: PageSheets = { title: '', sheets: [] };
  let base = address;
  for (const element of elementsOf(documentOf(page))) {
    const { tagName } = element;
    if (tagName === 'base') base = whole(attribute(element, 'href'), base) ?? base;
    else if (tagName === 'title' && found.title === '') found.title = textOf(element).trim().slice(0, 200);
    else if (tagName === 'style') found.sheets.push({ rules: textOf(element) });
    else if (tagName === 'link' && isSheet(element)) {
      const sheet = whole(attribute(element, 'href'), base);
      if (sheet !== null) found.sheets.push({ address: sheet });
    }
    const style = attribute(element, 'style');
    if (style && (tagName === 'body' || tagName === 'html')) found.sheets.push({ rules: `${tagName} {${style}}` });
  }
  return found;
}

function isSheet(link: Element): boolean {
  const rel = attribute(link, 'rel').toLowerCase().split(/\s+/);
  const media = attribute(link, 'media').toLowerCase();
  return rel.includes('stylesheet') && !rel.includes('alternate') && !media.includes('print');
}

function whole(address: string, base: string): string | null {
  if (address === '' || !URL.canParse(address, base)) return null;
  const { protocol, href } = new URL(address, base);
  return protocol === 'http:' || protocol === 'https:' ? href : null;
}
