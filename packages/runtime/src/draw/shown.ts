import { safeAddress, type Answer } from '@ivy/core';
import type { Shown } from '@ivy/view';
import type { Listing } from '../listing/listing.js';

/** What is shown of a listing; null until there is something. */
export function shownOf(listing: Listing, answer: Answer | undefined = listing.answer): Shown | null {
  const { settings, choices, placed } = listing;
  if (!answer || !settings) return null;
  return {
    settings,
    answer,
    placed,
    choices,
    now: Date.now(),
    hrefOf: (next) => listing.hrefOf(next),
    resolve: (link) => resolved(link, listing.base),
    marks: listing.marked.ids,
    finds: new Map(
      [...listing.finder.texts].map(([key, text]) => [key, { text, found: listing.finder.found.get(key) ?? null }]),
    ),
  };
}

/** An address of a post as it is from this page; null for one that no page should follow. */
function resolved(link: string, base: string): string | null {
  const address = safeAddress(link);
  return address === null || base === '' || !URL.canParse(address, base) ? address : new URL(address, base).href;
}

/** What facets are shown by: the answer to what is chosen, applied or not. */
export function facetsShown(listing: Listing): Shown | null {
  return shownOf(listing, listing.drawn);
}
