import type { FoundTerms, Answer } from '@ivy/core';
import type { AddressBar } from './address-bar.js';
import type { Listing } from './listing.js';
import { fetchJson, urlOfTerms, type Reply, type Transport } from './transport.js';

/** What a preview says to the Bench around it. */
export type FromPreview =
  | { ivy: 'ask'; id: number; address: string; from?: number }
  /** `from`: what the address was until now. */
  | { ivy: 'went'; address: string; how: 'push' | 'replace'; from: string };

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

/**
 * A listing in a preview: its address is the Bench's, and the Bench answers with the draft as it stands this moment.
 * @param Base  the class itself, which the page script has: this one is fetched apart from it
 */
export function previewListing(Base: typeof Listing, name: string): Listing {
  return new (class PreviewListing extends Base {
    readonly #address: PreviewBar;
    #state: PageState = 'live';

    constructor() {
      const bar = new PreviewBar();
      super(
        name,
        new PreviewTransport(name, (message) => {
          if (message.ivy === 'go') void this.#go(message.address);
          if (message.ivy === 'show') void this.#show(message.state);
        }),
        bar,
        false,
      );
      this.#address = bar;
      void this.load();
    }

    protected override answered(canonical: string, asked: string): void {
      if (this.#state === 'live') super.answered(canonical, asked);
    }

    #go(address: string): Promise<void> {
      this.#address.search = address;
      return this.#show(this.#state);
    }

    /** Draws a state that is hard to come by, for whoever works on the lens. */
    async #show(state: PageState): Promise<void> {
      this.#state = state;
      if (state === 'loading' || state === 'failed') return this.empty(state);
      await this.ask(state === 'first' ? '' : this.#address.search, true);
      if (state === 'empty' && this.answer && this.#state === state) {
        this.answer = emptied(this.answer);
        this.redraw();
      }
    }
  })();
}

/** An answer as it would be if nothing matched: each choice is a way out to what there is now. */
function emptied(answer: Answer): Answer {
  const ways = answer.facets
    .filter((facet) => facet.visible)
    .slice(0, 3)
    .map(({ key }) => ({ without: key, lifts: [key], matched: answer.matched, address: '' }));
  return { ...answer, matched: 0, items: [], page: 1, pages: 1, ways };
}

/** A preview has no address bar of its own: the Bench is told where a visitor went. */
class PreviewBar implements AddressBar {
  search = '';

  write(address: string, how: 'push' | 'replace'): void {
    if (address === this.search) return;
    const from = this.search;
    this.search = address;
    say({ ivy: 'went', address, how, from });
  }

  watch(): () => void {
    return () => undefined;
  }
}

/** Asks the Bench. */
class PreviewTransport implements Transport {
  readonly #waiting = new Map<number, { done: (reply: Reply) => void; fail: (error: Error) => void }>();
  #next = 1;

  constructor(
    private readonly name: string,
    onTold: (message: ToPreview) => void,
  ) {
    addEventListener('message', (event: MessageEvent<ToPreview>) => {
      if (event.source !== parent || event.origin !== location.origin) return;
      const message = event.data;
      if (message.ivy === 'reply') this.#waiting.get(message.id)?.done(message.reply);
      else if (message.ivy === 'failed') this.#waiting.get(message.id)?.fail(new Error('The Bench got no answer.'));
      else onTold(message);
    });
  }

  ask(address: string, signal: AbortSignal, from?: number): Promise<Reply> {
    const id = this.#next++;
    return new Promise<Reply>((done, fail) => {
      this.#waiting.set(id, { done, fail });
      signal.addEventListener('abort', () => fail(new DOMException('Overtaken', 'AbortError')));
      say({ ivy: 'ask', id, address, ...(from !== undefined && { from }) });
    }).finally(() => this.#waiting.delete(id));
  }

  /** Of the draft as it was last saved: the Bench saves as one goes. */
  find(facet: string, text: string, address: string, signal: AbortSignal): Promise<FoundTerms> {
    const base = `${location.origin}/api/v1/lenses/${encodeURIComponent(this.name)}/draft`;
    return fetchJson(urlOfTerms(base, facet, text, address), signal) as Promise<FoundTerms>;
  }
}

function say(message: FromPreview): void {
  parent.postMessage(message, location.origin);
}
