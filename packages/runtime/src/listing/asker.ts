import type { Answer, Settings } from '@ivy/core';

/** All that is needed to draw a listing. */
export interface Reply {
  settings: Settings;
  answer: Answer;
}

/** Whoever answers an address: the server, or the Bench around a preview. */
export interface Asker {
  ask(address: string, signal: AbortSignal): Promise<Reply>;
}

/** Asks the server that the script came from. */
export class HttpAsker implements Asker {
  #settings: Settings | undefined;
  #release: unknown;

  constructor(
    private readonly origin: string,
    private readonly name: string,
  ) {}

  async ask(address: string, signal: AbortSignal): Promise<Reply> {
    const base = `${this.origin}/api/v1/lenses/${encodeURIComponent(this.name)}`;
    if (this.#settings) {
      const answer = (await fetchJson(`${base}/results?${address}`, signal)) as Answer & { release: unknown };
      // a new release may draw differently: its settings must come with its answer
      if (answer.release === this.#release) return { settings: this.#settings, answer };
    }
    const listing = (await fetchJson(`${base}/listing?${address}`, signal)) as Reply & { answer: { release: unknown } };
    this.#settings = listing.settings;
    this.#release = listing.answer.release;
    return listing;
  }
}

async function fetchJson(url: string, signal: AbortSignal): Promise<unknown> {
  const response = await fetch(url, { signal, credentials: 'omit' });
  if (!response.ok) throw new Error(`${response.status} from ${url}`);
  return response.json();
}
