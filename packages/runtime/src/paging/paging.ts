import { pagerView } from '@ivy/view';
import { html, nothing, type TemplateResult } from 'lit-html';
import { shownOf } from '../draw/shown.js';
import type { Listing } from '../listing/listing.js';
import { withLater } from '../draw/with-later.js';
import { drawNumbers } from './numbers.js';

/**
 * What stands below the cards.
 * @param onGo  called when another page stands in the place of the one that was there
 */
export function drawPager(listing: Listing, onGo: () => void): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && pagerView(shown);
  if (!view) return nothing;
  if (view.form === 'numbers') return drawNumbers(listing, view, onGo);
  return withLater(
    () => listing.redraw(),
    (later) => later.drawMore(html, listing, view),
  );
}
