/*
 * Where a visitor was on a page that they come back to: the browser puts them there before the posts are, so it is done once
 * more when they are.
 */

const [navigation] = performance.getEntriesByType?.('navigation') ?? [];
const isBack = (navigation as PerformanceNavigationTiming | undefined)?.type !== 'navigate';
let wanted = isBack ? (history.state as { ivyScroll?: number } | null)?.ivyScroll : undefined;

addEventListener('pagehide', () => {
  const state: unknown = history.state;
  // what the page itself keeps there stays: where that is no plain object, nothing can be put beside it
  if (state !== null && Object.getPrototypeOf(state) !== Object.prototype) return;
  history.replaceState({ ...(state as object | null), ivyScroll: scrollY }, '');
});

/** Goes where the visitor was, once a page and only as long as they have not gone elsewhere themselves. */
export function restoreScroll(): void {
  if (wanted === undefined) return;
  const y = wanted;
  wanted = undefined;
  requestAnimationFrame(() => {
    if (scrollY < y) scrollTo(0, y);
  });
}
