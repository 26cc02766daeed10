import { Listing } from './listing.js';
import { HttpTransport } from './transport.js';

/** Which listing an element belongs to. */
export interface Belongs {
  name: string;
  /** The server to ask. */
  origin: string;
  /** What names in the address begin with here; null for the lens's own way. */
  prefix: string | null;
  /** Terms that all posts here must have, such as `kind:survey`. */
  scope: string;
  /** What the page around it says it is written in; empty where it says nothing. The first element of a listing tells. */
  language: string;
}

const listings = new Map<string, Listing>();

/** The listing of a name, prefix and scope: one for all its elements on the page. */
export function listingOf({ name, origin, prefix, scope, language }: Belongs): Listing {
  const key = JSON.stringify([origin, name, prefix, scope]);
  const known = listings.get(key);
  if (known) return known;
  const id = [name, ...(prefix === null ? [] : [prefix]), ...(scope === '' ? [] : [scope])].map(encodeURIComponent);
  const listing = new Listing(id.join('.'), new HttpTransport(origin, name, prefix, scope, language));
  listings.set(key, listing);
  void listing.load();
  return listing;
}

/** Lets a listing go once no element belongs to it any more. One that is only moved is there again at once. */
export function leave(listing: Listing): void {
  setTimeout(() => {
    if (listing.isWatched) return;
    for (const [key, one] of listings) if (one === listing) listings.delete(key);
    listing.stop();
  });
}
