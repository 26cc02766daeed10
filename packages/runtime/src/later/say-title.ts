import { titleOf, type ChipsView, type CountView, type Shown } from '@ivy/view';

/**
 * Tells the page around a listing what it may be called with what is chosen: `ivy:title`, with `title` and `text`. What makes
 * chips and counts is handed in, since the page script has it.
 */
export function sayTitle(
  element: HTMLElement,
  shown: Shown | null,
  chipsOf: (shown: Shown) => ChipsView | null,
  countOf: (shown: Shown) => CountView,
): void {
  if (!shown) return;
  const detail = titleOf(shown, chipsOf(shown), countOf(shown));
  element.dispatchEvent(new CustomEvent('ivy:title', { bubbles: true, detail }));
}
