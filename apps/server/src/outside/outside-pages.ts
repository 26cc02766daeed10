import { Inject, Injectable } from '@nestjs/common';
import { Problem } from '../problem/problem.js';
import { fetchOutside, type Fetched } from './fetch-outside.js';
import { reachToken } from './reach-token.js';
import type { Reach } from './reach.js';

/** Bytes of a page; milliseconds until it and what belongs to it are there; pages asked for at once. */
const most = { bytes: 4_000_000, time: 15_000, atOnce: 4 };

/** Fetches pages of others that someone gave the address of, a few at once. */
@Injectable()
export class OutsidePages {
  #running = 0;

  constructor(@Inject(reachToken) private readonly reach: Reach) {}

  /**
   * @param work  what is done with the page while it counts as one of those asked for
   * @throws Problem where it can't be read, or is no page
   */
  async read<T>(address: string, work: (page: Fetched, signal: AbortSignal) => Promise<T> | T): Promise<T> {
    if (this.#running >= most.atOnce) {
      throw new Problem(503, 'too-many-waiting', 'Other pages are being read. Try again in a moment.');
    }
    this.#running++;
    try {
      const signal = AbortSignal.timeout(most.time);
      const accept = 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.1';
      const page = await fetchOutside(address, this.reach, { bytes: most.bytes, signal, accept });
      if (!/html/i.test(page.type)) {
        const sent = page.type || 'something else';
        throw new Problem(422, 'bad-page', `${new URL(page.address).host} sent no page, but ${sent}.`);
      }
      return await work(page, signal);
    } finally {
      this.#running--;
    }
  }
}
