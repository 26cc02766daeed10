import { HttpTransport, type Belongs, type Transport } from './transport.js';

/** Whoever answers for a listing. A script that brings its posts along has another one in this one's place. */
export const transportOf = (belongs: Belongs): Transport => new HttpTransport(belongs);
