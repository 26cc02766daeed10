import type { Mark } from '@ivy/core';
import { JSDOM } from 'jsdom';

/**
 * How often a page has what marks look for: of one on the page how many elements, of one in the items how many items.
 * Nothing of the page runs, and nothing it names is fetched.
 */
export function markCounts(page: string, marks: readonly Mark[]): number[] {
  const { window } = new JSDOM(page);
  try {
    const { document } = window;
    const item = marks.find(({ says }) => says.item !== undefined);
    const items = item ? select(document, item.at) : [];
    return marks.map((mark) => {
      if (mark.in === 'page') return select(document, mark.at).length;
      return items.filter((one) => mark.at === ':scope' || select(one, mark.at).length > 0).length;
    });
  } finally {
    window.close();
  }
}

/** What a selector finds; nothing, where it is none. */
function select(within: ParentNode, selector: string): Element[] {
  try {
    return [...within.querySelectorAll(selector)];
  } catch {
    return [];
  }
}
