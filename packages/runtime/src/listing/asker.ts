import type { Answer, FoundTerms, Settings } from '@ivy/core';

/** All that is needed to draw a listing. */
export interface Reply {
  settings: Settings;
  answer: Answer;
}

/** Whoever answers an address: the server, or the Bench around a preview. */
export interface Asker {
  ask(address: string, signal: AbortSignal): Promise<Reply>;
  /** Terms of a facet that hold a text, those too that answers leave out. */
  find(facet: string, text: string, address: string, signal: AbortSignal): Promise<FoundTerms>;
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

  find(facet: string, text: string, address: string, signal: AbortSignal): Promise<FoundTerms> {
    const base = `${this.origin}/api/v1/lenses/${encodeURIComponent(this.name)}`;
    return fetchJson(urlOfTerms(base, facet, text, address), signal) as Promise<FoundTerms>;
  }
}

/** The address of terms that hold a text. */
export function urlOfTerms(base: string, facet: string, text: string, address: string): string {
  const found = `${base}/terms/${encodeURIComponent(facet)}?find=${encodeURIComponent(text)}`;
  return address === '' ? found : `${found}&${address}`;
}

export async function fetchJson(url: string, signal: AbortSignal): Promise<unknown> {
  const response = await fetch(url, { signal, credentials: 'omit' });
  if (!response.ok) throw new Error(`${response.status} from ${url}`);
  return response.json();
}
