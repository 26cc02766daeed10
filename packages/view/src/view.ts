import { cardViews, type CardView } from './cards.js';
import { chipsView, type ChipsView } from './chips.js';
import { directionOf } from './direction.js';
import { facetViews, type FacetView } from './facets.js';
import {
  countView,
  emptyView,
  noticesView,
  sortView,
  type CountView,
  type EmptyView,
  type SortView,
} from './listing.js';
import type { PagerView } from './paging/pager.js';
import { pagerView, sizeView, type SizeView } from './paging/paging.js';
import type { Shown } from './shown.js';

/** All that a page shows of a lens, as plain data. Every word, number and date is ready, every way on is an address. */
export interface View {
  language: string;
  direction: 'ltr' | 'rtl';
  facets: FacetView[];
  chips: ChipsView | null;
  count: CountView;
  sort: SortView | null;
  size: SizeView | null;
  notices: string[];
  cards: CardView[];
  /** In place of cards, where nothing is found. */
  empty: EmptyView | null;
  pager: PagerView | null;
}

/**
 * What a page shows. A pure function of what it is given: the same for the page script, the page without scripts, and
 * whatever else reads a listing.
 */
export function viewOf(shown: Shown): View {
  const { language } = shown.settings;
  return {
    language,
    direction: directionOf(language),
    facets: facetViews(shown),
    chips: chipsView(shown),
    count: countView(shown),
    sort: sortView(shown),
    size: sizeView(shown),
    notices: noticesView(shown),
    cards: cardViews(shown),
    empty: shown.answer.matched === 0 ? emptyView(shown) : null,
    pager: pagerView(shown),
  };
}
