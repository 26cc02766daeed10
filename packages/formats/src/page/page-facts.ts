import { repeated, skippedLevel } from '@ivy/core';
import { defaultTreeAdapter } from 'parse5';
import { attribute, documentOf, elementsOf } from './elements.js';

/** What of a page bears on a listing that stands on it. */
export interface PageFacts {
  /** Its scripts, with the lens that one of ours reads the marks of. */
  scripts: { address: string; isModule: boolean; lens: string }[];
  /** Elements of ours by tag, with the lens each names and whether it keeps room until it is drawn. */
  elements: { tag: string; name: string; prefix: string | null; keepsRoom: boolean }[];
  /** Policies that the page states itself. */
  policies: string[];
  /** Names that forms and links of the page have in its own address. */
  parameters: string[];
  /** Ids that stand more than once. */
  twice: string[];
  /** Levels of the first heading that leaves one out, and of the one before it. */
  skipped: [number, number] | null;
}

/** Parameters that are looked at, so that a page of links stays quick to read. */
const mostLinks = 3000;

/**
 * Finds what of a page bears on a listing.
 * @param page  its HTML
 * @param address  where it came from
 */
export function pageFacts(page: string, address: string): PageFacts {
  const facts: PageFacts = { scripts: [], elements: [], policies: [], parameters: [], twice: [], skipped: null };
  const ids: string[] = [];
  const levels: number[] = [];
  const parameters = new Set<string>();
  const here = new URL(address);
  let links = 0;
  for (const element of elementsOf(documentOf(page))) {
    const { tagName } = element;
    const of = (name: string) => attribute(element, name);
    const id = of('id');
    if (id !== '') ids.push(id);
    if (tagName === 'script' && of('src') !== '' && URL.canParse(of('src'), address))
      facts.scripts.push({
        address: new URL(of('src'), address).href,
        isModule: of('type') === 'module',
        lens: of('data-ivy-name'),
      });
    else if (/^ivy-[a-z]+$/.test(tagName)) {
      const prefix = element.attrs.find(({ name }) => name === 'prefix')?.value ?? null;
      facts.elements.push({ tag: tagName, name: of('name'), prefix, keepsRoom: /height/.test(of('style')) });
    } else if (tagName === 'meta' && of('http-equiv').toLowerCase() === 'content-security-policy')
      facts.policies.push(of('content'));
    else if (/^(input|select|textarea|button)$/.test(tagName) && of('name') !== '' && !isForOwn(element))
      parameters.add(of('name'));
    else if (tagName === 'a' && links++ < mostLinks) for (const name of namesIn(of('href'), here)) parameters.add(name);
    else if (/^h[1-6]$/.test(tagName)) levels.push(Number(tagName[1]));
  }
  facts.twice = repeated(ids);
  facts.skipped = skippedLevel(levels);
  facts.parameters = [...parameters];
  return facts;
}

/** Whether a control is one that drives a list of the page’s own, or is one of ours. */
function isForOwn(element: Parameters<typeof attribute>[0]): boolean {
  for (let node = element.parentNode; node; node = 'parentNode' in node ? node.parentNode : null) {
    if (!defaultTreeAdapter.isElementNode(node)) continue;
    if (attribute(node, 'data-ivy-for') !== '' || node.tagName.startsWith('ivy-')) return true;
  }
  return false;
}

/** Names in the query string of a link to the same page. */
function namesIn(href: string, here: URL): string[] {
  if (!href.includes('?') || !URL.canParse(href, here.href)) return [];
  const to = new URL(href, here);
  return to.origin === here.origin && to.pathname === here.pathname ? [...to.searchParams.keys()] : [];
}
