import type { MarkName } from '@ivy/core';
import { selectorOf } from './selector.js';

/** A place of a page that is likely for something. */
export interface PagePlace {
  what: MarkName;
  at: string;
  /** What stands there. */
  words: string;
}

const isNumber = (one: Element) => /^\s*\d{1,5}\s*$/.test(one.textContent);

/** Places that a page has for numbers and for going on, outside its list. */
export function placesOn(page: Document, list: Element | null, items: number): PagePlace[] {
  const found: PagePlace[] = [];
  const say = (what: MarkName, element: Element | undefined) => {
    if (!element || list?.contains(element)) return;
    const words = element.textContent.trim().replace(/\s+/g, ' ').slice(0, 40);
    found.push({ what, at: selectorOf(element, page), words });
  };
  const pagers = [...page.body.querySelectorAll('nav, ul, ol, div, p')].filter(
    (one) => !list?.contains(one) && !one.contains(list) && [...one.querySelectorAll('a')].filter(isNumber).length > 1,
  );
  say(
    'pager',
    pagers.find((one) => !pagers.some((other) => other !== one && one.contains(other))),
  );
  const numbers = [...page.body.querySelectorAll('b, strong, span, em, output, i')].filter(
    (one) =>
      isNumber(one) &&
      one.children.length === 0 &&
      !one.closest('a, label, option') &&
      Number(one.textContent) >= items,
  );
  const [first, second] = numbers.filter((one) => !list?.contains(one));
  say('count', first);
  if (first?.parentElement === second?.parentElement) say('total', second);
  return found;
}
