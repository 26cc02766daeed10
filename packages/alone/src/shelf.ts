import { Refusal, type Belongs, type Transport } from '../../runtime/src/listing/transport.js';

type Make = (belongs: Belongs) => Transport;

interface Shelf {
  /** Whoever answers for a lens, by what elements call it. */
  lenses: Map<string, Make>;
  /** Called when one more is there. */
  waiting: Set<() => void>;
}

const key = Symbol.for('ivy-lens: taken along');

/**
 * Where all scripts of a page put what they bring along: the elements are those of the first one, and each answers for its own
 * lens. It stands under a symbol, so that the page gets no name it did not have.
 */
export function shelfOf(page: object): Shelf {
  const holder = page as { [key]?: Shelf };
  holder[key] ??= { lenses: new Map(), waiting: new Set() };
  return holder[key];
}

/** Puts a lens there, for whoever waits for it too. */
export function putOn({ lenses, waiting }: Shelf, name: string, make: Make): void {
  lenses.set(name, make);
  for (const look of waiting) look();
}

/** Has a listing answered by the script that brought its lens along, which may come after the elements are there. */
export class ShelfTransport implements Transport {
  #found: Promise<Transport> | undefined;

  constructor(
    private readonly shelf: Shelf,
    private readonly belongs: Belongs,
    /** Fulfilled once all scripts of the page have run. */
    private readonly whole: () => Promise<unknown>,
  ) {}

  async ask(...asked: Parameters<Transport['ask']>): ReturnType<Transport['ask']> {
    return (await this.#transport()).ask(...asked);
  }

  async find(...asked: Parameters<Transport['find']>): ReturnType<Transport['find']> {
    return (await this.#transport()).find(...asked);
  }

  #transport(): Promise<Transport> {
    return (this.#found ??= this.#look());
  }

  async #look(): Promise<Transport> {
    const { belongs } = this;
    const { lenses, waiting } = this.shelf;
    const { name } = belongs;
    if (!lenses.has(name)) {
      const come = new Promise<void>((done) => waiting.add(() => lenses.has(name) && done()));
      await Promise.race([come, this.whole()]);
    }
    const make = lenses.get(name);
    if (make) return make(belongs);
    const there = [...lenses.keys()].map((one) => `“${one}”`).join(', ');
    throw new Refusal(404, `No script here brings “${name}” along; there is ${there}.`);
  }
}

/** Fulfilled once the page and all scripts it waits for are there. */
export function wholePage(): Promise<unknown> {
  if (document.readyState === 'complete') return Promise.resolve();
  return new Promise((done) => addEventListener('load', done, { once: true }));
}
