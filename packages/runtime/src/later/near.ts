import type { Listing } from '../listing/listing.js';

/** Pages that come by themselves; then they pause, so that what stands below can be reached. */
const loadsAlone = 3;

/** How near the end is, in pixels, from which the next posts are fetched. */
const near = '600px';

const watched = new WeakMap<Element, IntersectionObserver>();

/**
 * Fetches the next posts as a visitor nears the press for them, and, where pages are endless, puts them there.
 * @param root  what was drawn
 */
export function watchNearness(root: Element, listing: Listing): void {
  const press = root.querySelector<HTMLElement>('[data-near]');
  // looked at anew with each drawing: of a press that stays near an observer speaks once only
  watched.get(root)?.disconnect();
  if (!press || typeof IntersectionObserver === 'undefined') return;
  const watcher = new IntersectionObserver(
    ([entry]) => {
      if (!entry?.isIntersecting || listing.loadsMore) return;
      if (press.dataset.near === 'load' && listing.opened.loads < loadsAlone) {
        listing.opened.loads++;
        void listing.more();
      } else listing.fetchAhead();
    },
    { rootMargin: near },
  );
  watcher.observe(press);
  watched.set(root, watcher);
}
