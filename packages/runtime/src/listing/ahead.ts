import { Lru } from '@ivy/core';
import type { Reply } from './transport.js';

/** Milliseconds that what was fetched ahead is good for. */
const aheadKept = 30_000;

/** What is fetched before it is asked for. Each is good for one time, and not for long. */
export class Ahead {
  readonly #kept = new Lru<string, Promise<Reply>>(4);

  fetch(key: string, ask: () => Promise<Reply>): void {
    if (this.#kept.get(key)) return;
    const drop = () => this.#kept.delete(key);
    void this.#kept.put(key, ask()).catch(drop);
    // what was fetched long ago may not hold any more
    setTimeout(drop, aheadKept);
  }

  take(key: string): Promise<Reply> | undefined {
    const fetched = this.#kept.get(key);
    this.#kept.delete(key);
    return fetched;
  }
}
