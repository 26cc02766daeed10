import { pagerView } from '@ivy/view';
import { nothing, type TemplateResult } from 'lit-html';
import { shownOf } from '../draw/shown.js';
import type { Listing } from '../listing/listing.js';
import { drawMore } from './more.js';
import { drawNumbers } from './numbers.js';

/**
 * What stands below the cards.
 * @param onGo  called when another page stands in the place of the one that was there
 */
export function drawPager(listing: Listing, onGo: () => void): TemplateResult | typeof nothing {
  const shown = shownOf(listing);
  const view = shown && pagerView(shown);
  if (!view) return nothing;
  return view.form === 'more' ? drawMore(listing, view) : drawNumbers(listing, view, onGo);
}
