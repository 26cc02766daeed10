import { listsAround } from './found/alike.js';
import { controlOf } from './found/page-controls.js';
import type { Outline } from './page-frame.js';

/** What a press on the page names. */
export type Tool = 'item' | 'field' | 'control' | 'place';

/** What a press would take, before it is made. */
export function hoverOf(element: Element, tool: Tool, items: readonly Element[], page: Document): Outline[] {
  if (tool === 'item') return (listsAround(element)[0]?.items ?? []).map((one) => ({ element: one, as: 'hover' }));
  if (tool === 'field')
    return items.some((one) => one !== element && one.contains(element)) ? [{ element, as: 'hover' }] : [];
  if (tool === 'place') return element === page.body ? [] : [{ element, as: 'hover' }];
  const near = element.closest('input, select') ?? element.closest('label')?.querySelector('input, select');
  return near ? controlOf(near as HTMLInputElement, page).elements.map((one) => ({ element: one, as: 'hover' })) : [];
}

/** What a place is likely for, by what stands there. */
export function guessPlace(element: Element): 'count' | 'pager' | 'empty' | 'more' {
  if (element.querySelectorAll('a').length > 1) return 'pager';
  if (element.matches('button, a')) return 'more';
  return /\d/.test(element.textContent) ? 'count' : 'empty';
}
