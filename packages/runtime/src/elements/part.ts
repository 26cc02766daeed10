import { directionOf, type Choices } from '@ivy/view';
import { LitElement } from 'lit';
import { addStyles } from '../styles.js';
import { listingOf, type Listing } from '../listing/listing.js';

/** Where this script came from is where answers come from. */
const scriptOrigin = new URL(import.meta.url).origin;

/**
 * What all elements share: they belong to a listing by `name`, draw into the light DOM so that the page's own sheet
 * reaches them, and tell of changes by bubbling events.
 */
export abstract class Part extends LitElement {
  static override properties = {
    name: { type: String, reflect: true },
    origin: { type: String },
    preview: { type: Boolean },
    base: { type: String },
  };

  declare name: string;
  /** Server to ask; by default the one the script came from. */
  declare origin: string;
  declare preview: boolean;
  /** Where links and pictures of posts are relative to, on a page that is not of their site. */
  declare base: string;
  protected listing: Listing | undefined;
  #unwatch: (() => void) | undefined;
  #language: string | undefined;
  #saysItself = false;

  constructor() {
    super();
    this.name = '';
    this.origin = scriptOrigin;
    this.preview = false;
    this.base = '';
  }

  protected override createRenderRoot(): HTMLElement {
    return this;
  }

  override connectedCallback(): void {
    super.connectedCallback();
    addStyles(document);
    if (this.name === '') return;
    const inFrame = this.preview && parent !== window;
    this.listing = listingOf(this.name, this.origin, inFrame);
    if (this.base !== '') this.listing.base = this.base;
    this.#unwatch = this.listing.watch((answered) => {
      this.requestUpdate();
      if (answered) this.answered();
    });
  }

  override disconnectedCallback(): void {
    super.disconnectedCallback();
    this.#unwatch?.();
  }

  /** Says which language it is in and which way that is written, where the page has not said so itself. */
  protected override willUpdate(): void {
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

  protected answered(): void {
    const detail = { query: this.query, answer: this.listing?.answer };
    this.dispatchEvent(new CustomEvent('ivy:answer', { bubbles: true, detail }));
  }
}
