import type { PagingName } from '@ivy/core';
import type { Shown } from '../shown.js';
import { all } from './all.js';
import { endless } from './endless.js';
import { more } from './more.js';
import type { PagerView } from './pager.js';
import { pages } from './pages.js';

/** What stands below the cards, by the lens's way of paging. */
const pagers: Record<PagingName, (shown: Shown) => PagerView | null> = {
  pages,
  more: (shown) => more(shown),
  endless,
  all,
};

/** Null where there is nothing more than stands there. */
export function pagerView(shown: Shown): PagerView | null {
  return pagers[shown.settings.paging.mode](shown);
}

/** How many posts a page, where that is a visitor's to choose. */
export interface SizeView {
  label: string;
  /** What the parameter is called in an address, prefix included. */
  name: string;
  /** The lens's own has no value: it need not be said. */
  options: { value: string; label: string; chosen: boolean }[];
}

export function sizeView({ settings, choices }: Shown): SizeView | null {
  const { paging, address, texts } = settings;
  if (paging.sizes.length === 0) return null;
  return {
    label: texts.perPage,
    name: address.prefix + address.size,
    options: paging.sizes.map((size) => ({
      value: size === paging.size ? '' : String(size),
      label: String(size),
      chosen: size === (choices.size ?? paging.size),
    })),
  };
}
