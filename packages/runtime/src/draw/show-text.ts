import { fillPlural } from '@ivy/core';
import type { Listing } from '../listing/listing.js';

/** “Show 37 notes”, by what is chosen this moment. */
export function showText(listing: Listing): string {
  const { texts, language } = listing.settings!;
  return texts.show.replace('{posts}', fillPlural(texts.posts, listing.drawn!.matched, language));
}
