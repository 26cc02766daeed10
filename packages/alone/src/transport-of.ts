import type { Belongs, Transport } from '../../runtime/src/listing/transport.js';
import { AloneTransport, indexOf } from './alone-transport.js';
import { takenHere } from './taken.js';

const taken = takenHere();
const index = indexOf(taken);

/** Whoever answers for a listing: what the script brought along. It stands in the place of the one that asks a server. */
export function transportOf(belongs: Belongs): Transport {
  return new AloneTransport(taken, index, belongs);
}
