import type { Mark } from '@ivy/core';
import { itemsIn } from './items.js';

/** Attributes whose value is the name of the list, where a mark says nothing else. */
const named = new Set(['list', 'for', 'count', 'total', 'empty', 'pager', 'more', 'chips']);

/**
 * Says of a page what a mapping says of it: sets the attributes that the page would bear if it were written by hand.
 * Done again, it reaches what has come meanwhile.
 * @param name  of the list
 * @returns for each mark how many elements it found, and for one in items how many items have one
 */
export function applyMarks(page: ParentNode, name: string, marks: readonly Mark[]): number[] {
  const found = marks.map((mark) => {
    if (mark.in === 'item') return 0;
    const elements = select(page, mark.at);
    for (const element of elements) say(element, mark, name);
    return elements.length;
  });
  const list = page.querySelector(`[data-ivy-list="${CSS.escape(name)}"]`);
  if (list) {
    for (const item of itemsIn(list)) {
      marks.forEach((mark, i) => {
        if (mark.in === 'page') return;
        const elements = mark.at === ':scope' ? [item] : select(item, mark.at);
        for (const element of elements) say(element, mark, name);
        if (elements.length > 0) found[i]!++;
      });
    }
  }
  return found;
}

function say(element: Element, { says }: Mark, name: string): void {
  for (const [what, value] of Object.entries(says)) {
    const attribute = `data-ivy-${what}`;
    const wanted = value === '' && named.has(what) ? name : value;
    if (element.getAttribute(attribute) !== wanted) element.setAttribute(attribute, wanted);
  }
}

/** What a selector finds, but for what is drawn here; nothing, where it is none. */
function select(page: ParentNode, selector: string): Element[] {
  try {
    return [...page.querySelectorAll(selector)].filter((one) => !one.closest('[data-ivy-drawn]'));
  } catch {
    return [];
  }
}

/** Where the script came from, which is where it asks. */
const own = import.meta.url;

/** What a lens has marked on a page, from the server that the script came from; null where there is nothing. */
export async function fetchMarks(lens: string): Promise<Mark[] | null> {
  const response = await fetch(new URL(`../api/v1/lenses/${encodeURIComponent(lens)}/markup`, own));
  if (!response.ok) return null;
  const { marks, prefix } = (await response.json()) as { marks: Mark[]; prefix: string };
  return prefix === '' ? marks : marks.map((mark) => withPrefix(mark, prefix));
}

function withPrefix(mark: Mark, prefix: string): Mark {
  return mark.says.list === undefined ? mark : { ...mark, says: { ...mark.says, prefix } };
}
