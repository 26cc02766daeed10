import type { FoundTerms } from '@ivy/core';
import { fetchJson, urlOfTerms, type Transport, type Reply } from './transport.js';

/** What a preview says to the Bench around it. */
export type FromPreview =
  { ivy: 'ask'; id: number; address: string } | { ivy: 'went'; address: string; how: 'push' | 'replace' };

/** A state a page can be in. `live`: as its address says; `first`: as one who comes with no address sees it. */
export type PageState = 'live' | 'first' | 'empty' | 'loading' | 'failed';

/** What the Bench says to a preview. */
export type ToPreview =
  | { ivy: 'reply'; id: number; reply: Reply }
  | { ivy: 'failed'; id: number }
  /** Draw as it would stand in some state, whatever the address says. */
  | { ivy: 'show'; state: PageState }
  /** Draw anew: the address is another one, or the lens has changed. */
  | { ivy: 'go'; address: string };

/** Asks the Bench, which answers with the draft as it stands this moment. */
export class PreviewTransport implements Transport {
  readonly #waiting = new Map<number, { done: (reply: Reply) => void; fail: (error: Error) => void }>();
  #next = 1;

  constructor(
    private readonly name: string,
    onGo: (address: string) => void,
    onShow: (state: PageState) => void,
  ) {
    addEventListener('message', (event: MessageEvent<ToPreview>) => {
      if (event.source !== parent || event.origin !== location.origin) return;
      const message = event.data;
      if (message.ivy === 'go') onGo(message.address);
      else if (message.ivy === 'show') onShow(message.state);
      else if (message.ivy === 'reply') this.#waiting.get(message.id)?.done(message.reply);
      else if (message.ivy === 'failed') this.#waiting.get(message.id)?.fail(new Error('The Bench got no answer.'));
    });
  }

  ask(address: string, signal: AbortSignal): Promise<Reply> {
    const id = this.#next++;
    return new Promise<Reply>((done, fail) => {
      this.#waiting.set(id, { done, fail });
      signal.addEventListener('abort', () => fail(new DOMException('Overtaken', 'AbortError')));
      say({ ivy: 'ask', id, address });
    }).finally(() => this.#waiting.delete(id));
  }

  /** Of the draft as it was last saved: the Bench saves as one goes. */
  find(facet: string, text: string, address: string, signal: AbortSignal): Promise<FoundTerms> {
    const base = `${location.origin}/api/v1/lenses/${encodeURIComponent(this.name)}/draft`;
    return fetchJson(urlOfTerms(base, facet, text, address), signal) as Promise<FoundTerms>;
  }
}

/** Tells the Bench that the visitor went to an address, or that the one they are at is now written another way. */
export function tellWent(address: string, how: 'push' | 'replace'): void {
  say({ ivy: 'went', address, how });
}

function say(message: FromPreview): void {
  parent.postMessage(message, location.origin);
}
