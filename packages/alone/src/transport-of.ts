import type { Belongs, Transport } from '../../runtime/src/listing/transport.js';
import { AloneTransport, indexOf } from './alone-transport.js';
import { putOn, shelfOf, ShelfTransport, wholePage } from './shelf.js';
import { takenHere } from './taken.js';

const taken = takenHere();
const index = indexOf(taken);
const shelf = shelfOf(globalThis);
putOn(shelf, taken.slug, (belongs) => new AloneTransport(taken, index, belongs));

/** Whoever answers for a listing: what was brought along. It stands in the place of the one that asks a server. */
export function transportOf(belongs: Belongs): Transport {
  return new ShelfTransport(shelf, belongs, wholePage);
}
