import type { Driver } from './following.js';
import { Listing } from './listing.js';
import { transportOf } from './transport-of.js';
import type { Belongs } from './transport.js';

const listings = new Map<string, Listing>();

/** The listing of a name, prefix and scope: one for all its elements on the page. */
export function listingOf(belongs: Belongs): Listing {
  const { name, origin, prefix, scope } = belongs;
  const key = JSON.stringify([origin, name, prefix, scope]);
  const known = listings.get(key);
  if (known) return known;
  const id = [name, ...(prefix === null ? [] : [prefix]), ...(scope === '' ? [] : [scope])].map(encodeURIComponent);
  const neighbours = { driverOf: (lens: string) => firstOf(origin, lens), changed: followAll };
  const listing = new Listing(id.join('.'), transportOf(belongs), undefined, true, neighbours);
  listings.set(key, listing);
  void listing.load();
  return listing;
}

/** The first listing of a lens on the page. */
function firstOf(origin: string, lens: string): Listing | undefined {
  for (const [key, listing] of listings) {
    const [from, name] = JSON.parse(key) as [string, string];
    if (from === origin && name === lens) return listing;
  }
  return undefined;
}

/** Has the other listings look whether what they follow has changed. */
function followAll(changed: Driver): void {
  for (const one of listings.values()) if (one !== changed) void one.follow();
}

/** Lets a listing go once no element belongs to it any more. One that is only moved is there again at once. */
export function leave(listing: Listing): void {
  setTimeout(() => {
    if (listing.isWatched) return;
    for (const [key, one] of listings) if (one === listing) listings.delete(key);
    listing.stop();
    followAll(listing);
  });
}
