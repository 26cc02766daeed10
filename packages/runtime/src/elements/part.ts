import { chipsView, countView, directionOf, spanAt, type Choices } from '@ivy/view';
import { render } from 'lit-html';
import { drawGone } from '../draw/results.js';
import { shownOf } from '../draw/shown.js';
import { fetchLater, withLater, type Later } from '../draw/with-later.js';
import { Listing } from '../listing/listing.js';
import { restoreScroll } from '../listing/scroll.js';
import { leave, listingOf } from '../listing/listings.js';
import { addLook, addStyles } from '../styles.js';

/** Milliseconds after something was drawn in which the page has other things to load. */
const calm = 1500;

/** Where this script came from is where answers come from. */
const scriptOrigin = new URL(import.meta.url).origin;

/**
 * What all elements share: they belong to a listing by `name`, `prefix` and `scope`, draw into the light DOM so that the
 * page's own sheet reaches them, and tell of changes by bubbling events. Properties are their attributes, so both may be
 * set at any time.
 */
export abstract class Part extends HTMLElement {
  static readonly observedAttributes: readonly string[] = ['name', 'origin', 'prefix', 'scope', 'preview', 'base'];

  protected listing: Listing | undefined;
  #unwatch: (() => void) | undefined;
  #isAsked = false;
  #language: string | undefined;
  #saysItself = false;
  /** Whether what comes after the first drawing is on its way. */
  #isSettled = false;
  /** The width that says how it lies, in CSS pixels; and what has it. */
  #width = 0;
  protected readonly measured: Element = document.documentElement;
  readonly #sizes = new ResizeObserver(() => this.#measure());

  declare name: string | null;
  /** Server to ask; by default the one the script came from. */
  declare origin: string | null;
  /** What names in the address begin with here; null for the lens's own way. */
  declare prefix: string | null;
  /** Terms that all posts here must have, such as `kind:survey`. */
  declare scope: string | null;
  /** Where links and pictures of posts are relative to, on a page that is not of their site. */
  declare base: string | null;

  /** What it shows; drawn anew whenever that may be another. */
  protected abstract render(): unknown;

  connectedCallback(): void {
    addStyles();
    takeEarly(this);
    // measured before the first drawing, which would be of a narrow page and then jump
    this.#measure();
    this.#sizes.observe(this.measured);
    this.#join();
    // whoever makes elements by script may name them a little later
    if (!this.name) setTimeout(() => this.#sayNameless());
  }

  disconnectedCallback(): void {
    this.#leave();
    this.#sizes.disconnect();
  }

  attributeChangedCallback(name: string, before: string | null, now: string | null): void {
    if (!this.isConnected || before === now) return;
    if (name !== 'key' && name !== 'most') {
      this.#leave();
      this.#join();
    }
    this.redraw();
  }

  /** Draws once what is going on now is done with, however often it was asked for. */
  protected redraw(): void {
    if (this.#isAsked) return;
    this.#isAsked = true;
    queueMicrotask(() => {
      if (!this.#isAsked) return;
      this.#isAsked = false;
      if (this.isConnected) this.draw();
    });
  }

  /**
   * Measured, and not asked by a container query: with one, Chromium 150 was seen to leave what was drawn anew within it
   * without size and style.
   */
  #measure(): void {
    this.#width = this.measured.clientWidth;
    if (this.listing && spanAt(this.listing.look, this.#width) !== this.dataset.span) this.redraw();
  }

  /** Draws at once. */
  protected draw(): void {
    this.#isAsked = false;
    // said anew each time: a page that sets classes of its own takes it away
    this.classList.add('ivy-part');
    this.#sayLanguage();
    const { listing } = this;
    // several elements of a listing may be of different widths: each is drawn by its own
    if (listing) this.dataset.span = listing.span = spanAt(listing.look, this.#width);
    if (listing?.sheet) addLook(this.name!, listing.sheet);
    render(this.render(), this);
    if (!listing?.answer) return;
    const redraw = () => this.redraw();
    if (this.querySelector('[data-near]')) withLater(redraw, (later) => later.watchNearness(this, listing));
    restoreScroll();
    // what may be needed next is there before, also when the connection is gone by then
    if (!this.#isSettled) setTimeout(() => this.#settle(listing), calm);
    this.#isSettled = true;
  }

  /** Fetches what may be needed next, and keeps what the listing looks like. */
  #settle({ id, settings, answer, keeps, placed, sheet }: Listing): void {
    const keep = (later: Later) => {
      if (keeps && settings && answer) later.keepShape(id, settings, placed, sheet, answer);
    };
    void fetchLater().then(() => withLater(() => {}, keep));
  }

  /** Belongs to its listing from now on. */
  #join(): void {
    const { name, prefix } = this;
    if (!name || this.listing) return;
    if (this.hasAttribute('preview') && parent !== window) {
      // by the time it is there the element may belong elsewhere, or nowhere
      void import('../listing/preview.js').then(({ previewListing }) => {
        if (this.isConnected && !this.listing && this.name === name) this.#take(previewListing(Listing, name));
      });
      return;
    }
    // what it says itself after an answer is no wish
    const speaker = this.#language === undefined || this.#saysItself ? this : this.parentElement;
    const language = speaker?.closest<HTMLElement>('[lang]')?.lang ?? '';
    this.#take(listingOf({ name, prefix, origin: this.origin ?? scriptOrigin, scope: this.scope ?? '', language }));
  }

  /** Without a name there is nothing to show: said in plain words, and in the console to whoever builds the page. */
  #sayNameless(): void {
    if (this.name || !this.isConnected) return;
    console.error(`Ivy Lens: <${this.localName}> needs the name of a released lens.`);
    if (/lens|results/.test(this.localName)) render(drawGone(), this);
  }

  #take(listing: Listing): void {
    this.listing = listing;
    listing.base = this.base ?? listing.base;
    this.#unwatch = listing.watch((what) => {
      const draw = () => this.draw();
      const moves = what === 'answer' && listing.moves && withLater(draw, (later) => later.move(this, draw));
      if (moves !== true) this.redraw();
      if (!what) return;
      const detail = { query: listing.choices, answer: listing.answer };
      this.dispatchEvent(new CustomEvent(`ivy:${what}`, { bubbles: true, detail }));
      const say = () => withLater(say, (later) => later.sayTitle(this, shownOf(listing), chipsView, countView));
      if (what === 'answer') say();
    });
    this.redraw();
  }

  #leave(): void {
    this.#unwatch?.();
    if (this.listing) leave(this.listing);
    this.listing = this.#unwatch = undefined;
  }

  /** Says which language it is in and which way that is written, where the page has not said so itself. */
  #sayLanguage(): void {
    const language = this.listing?.settings?.language;
    if (language === undefined || language === this.#language) return;
    if (this.#language === undefined) this.#saysItself = this.hasAttribute('lang') || this.hasAttribute('dir');
    this.#language = language;
    if (this.#saysItself) return;
    this.lang = language;
    this.dir = directionOf(language);
  }

  /** What is chosen. Setting it is as if a visitor had chosen it. */
  get query(): Choices | undefined {
    return this.listing?.choices;
  }

  set query(choices: Choices | undefined) {
    if (choices) void this.listing?.choose(choices);
  }
}

const attributes = [...Part.observedAttributes, 'key', 'most'];
for (const name of attributes) {
  Object.defineProperty(Part.prototype, name, {
    get(this: Part) {
      return this.getAttribute(name);
    },
    set(this: Part, value: string | boolean | null) {
      if (value === null || value === false) this.removeAttribute(name);
      else this.setAttribute(name, String(value));
    },
  });
}

/** Takes properties that were set before the script was there: they stand in the way of those that are heard. */
function takeEarly(part: Part): void {
  for (const name of attributes) {
    if (!Object.hasOwn(part, name)) continue;
    const early = part as unknown as Record<string, string | null>;
    const value = early[name]!;
    delete early[name];
    early[name] = value;
  }
}
