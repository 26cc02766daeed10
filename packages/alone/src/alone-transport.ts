import {
  answer,
  findTerms,
  finished,
  lensForPage,
  maxSearch,
  pageSettings,
  readPageQuery,
  readQuestion,
  readSnapshot,
  termLooks,
  type FoundTerms,
  type Lens,
  type PostIndex,
  type Settings,
} from '@ivy/core';
import { lookSheet, resolver } from '@ivy/view';
import { leadOf, Refusal, type Belongs, type Reply, type Transport } from '../../runtime/src/listing/transport.js';
import type { Taken } from './taken.js';

/** A lens as a part of a page has it. */
interface OnPage {
  lens: Lens;
  settings: Settings;
  sheet: string;
}

/** Answers from what the script brought along. */
export class AloneTransport implements Transport {
  readonly #lead: string;
  readonly #onPages = new Map<string, OnPage>();

  /** @param index  made when it is first asked */
  constructor(
    private readonly taken: Taken,
    private readonly index: () => PostIndex,
    private readonly belongs: Belongs,
  ) {
    this.#lead = leadOf(belongs);
  }

  ask(address: string, _signal: AbortSignal, from?: number): Promise<Reply> {
    return this.#once(() => {
      const { own, address: chosen } = readPageQuery(this.#lead + address);
      const { lens, settings, sheet } = this.#onPage(own);
      const { query, notices } = readQuestion(this.index(), lens, chosen, Date.now(), from ?? 1);
      return { settings, sheet, answer: answer(this.index(), query, notices) };
    });
  }

  find(facet: string, text: string, address: string): Promise<FoundTerms> {
    return this.#once(() => {
      const { own, address: chosen } = readPageQuery(this.#lead + address);
      const { query } = readQuestion(this.index(), this.#onPage(own).lens, chosen, Date.now());
      const found = findTerms(this.index(), query, facet, text.slice(0, maxSearch));
      if (!found) throw new Refusal(404, `There is no facet of terms “${facet}”.`);
      return found;
    });
  }

  /** Whatever goes wrong is heard as it would be from a server, and an answer never comes while it is still being asked. */
  async #once<T>(work: () => T): Promise<T> {
    await Promise.resolve();
    return work();
  }

  #onPage(own: ReturnType<typeof readPageQuery>['own']): OnPage {
    const key = JSON.stringify(own);
    const known = this.#onPages.get(key);
    if (known) return known;
    const index = this.index();
    const { taken } = this;
    const lens = lensForPage(taken.lens, index.fields, own);
    if (typeof lens === 'string') throw new Refusal(400, lens);
    const settings = pageSettings(index, lens, taken);
    const drawn = {
      card: settings.card,
      facets: settings.facets,
      looks: termLooks(index, lens),
      resolve: resolver(taken.site),
    };
    const made = { lens, settings, sheet: lookSheet(lens.look, drawn, this.belongs.name) };
    this.#onPages.set(key, made);
    return made;
  }
}

/** Reads the posts once, when they are first needed. */
export function indexOf({ posts }: Taken): () => PostIndex {
  let index: PostIndex | undefined;
  return () => (index ??= finished(readSnapshot(Uint8Array.from(atob(posts), (one) => one.charCodeAt(0)))));
}
