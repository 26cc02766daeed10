import { Lru, type Answer, type FoundTerms, type Settings } from '@ivy/core';
import { HttpTransport, type Transport, type Reply } from './transport.js';
import { choicesOf, withForeign, writeChoices, type Choices } from '@ivy/view';
import { isMarksChange, keepFolds, keepMarks, readFolds, readMarks } from './kept.js';
import { PreviewTransport, tellWent, type PageState } from './preview.js';

export type Status = 'loading' | 'ready' | 'failed';

/** Milliseconds after a letter in which the next is waited for. */
const typingPause = 150;

/** Answers kept so that going back draws at once. */
const answersKept = 20;

/**
 * One lens on a page: its settings, its newest answer, and what the visitor has chosen. All elements of one name
 * share it, so they are always in step. The page's address is its state; this only reads and writes it.
 */
export class Listing {
  status: Status = 'loading';
  settings: Settings | undefined;
  answer: Answer | undefined;
  /** What is chosen, at once on a click, before its answer is there. */
  choices: Choices = { facets: {}, sort: null, page: 1 };
  /** Where links and pictures of posts are relative to; empty for the page itself. */
  base = '';
  /** Whether an answer is on its way. */
  waiting = true;
  /** Facets whose long lists are open, and whether the filters are open on a narrow page. */
  readonly open = new Set<string>();
  filtersOpen = false;
  /** Facets that a visitor folded or unfolded, and branches of trees they opened or closed, by facet and term. */
  readonly folds: Map<string, boolean>;
  readonly branches = new Map<string, boolean>();
  /** What stands in the find boxes of long lists. */
  readonly finds = new Map<string, string>();
  /** Terms the server found for what stands there, of facets with more terms than an answer holds. */
  readonly found = new Map<string, FoundTerms>();
  /** Lists of several that are open, and the option the keyboard is on. */
  readonly combos = new Map<string, number>();
  /** Ids of the posts a visitor marked: the same for all lenses of a source. */
  marks = new Set<string>();
  /** Ends of a range while a thumb is being moved. */
  readonly sliding = new Map<string, string>();
  /** What stands in boxes for days and can't be read, by facet and end. */
  readonly badDays = new Map<string, string>();
  /** What stands in search boxes while they are typed in. */
  readonly typed = new Map<string, string>();

  /** The answer to choices that wait for the button, where a lens has one. */
  pending: Answer | undefined;

  readonly #watchers = new Set<(answered: boolean) => void>();
  readonly #answers = new Lru<string, Reply>(answersKept);
  readonly #transport: Transport;
  readonly #preview: boolean;
  #running: AbortController | undefined;
  readonly #finding = new Map<string, AbortController>();
  /** Counting what is picked but not applied: apart from `#running`, so that neither takes the other's answer away. */
  #counting: AbortController | undefined;
  /** Whether choices were picked that the button has not applied yet. */
  #picked = false;
  #typing = false;
  /** The query string in a preview, which has no address bar of its own. */
  #previewAddress = '';
  #state: PageState = 'live';

  constructor(
    readonly name: string,
    origin: string,
    preview: boolean,
  ) {
    this.#preview = preview;
    addEventListener('storage', (event) => {
      if (!this.settings || !isMarksChange(event, this.settings.source)) return;
      this.marks = readMarks(this.settings.source);
      this.redraw();
    });
    this.folds = preview ? new Map<string, boolean>() : readFolds(name);
    if (preview) {
      this.#transport = new PreviewTransport(
        name,
        (address) => void this.#go(address),
        (state) => void this.#show(state),
      );
    } else {
      this.#transport = new HttpTransport(origin, name);
      addEventListener('popstate', () => {
        this.forgetTyped();
        this.endTyping();
        void this.load();
      });
    }
  }

  watch(watcher: (answered: boolean) => void): () => void {
    this.#watchers.add(watcher);
    return () => this.#watchers.delete(watcher);
  }

  /** Asks for what the address says. */
  load(): Promise<void> {
    this.#picked = false;
    return this.#ask(this.#search, false);
  }

  /**
   * Takes a new choice: draws it at once, writes the address, and asks. What is typed in one go is one entry of the
   * browser's history, not one a letter.
   */
  async choose(choices: Choices, how: 'push' | 'typing' = 'push'): Promise<void> {
    if (!this.settings) return;
    this.choices = choices;
    const own = writeChoices(choices, this.settings);
    const address = withForeign(this.#search, own, this.settings.names);
    this.#picked = false;
    this.pending = undefined;
    this.#write(address, how === 'typing' && this.#typing ? 'replace' : 'push');
    this.#typing = how === 'typing';
    await this.#ask(address, true);
  }

  /** Takes a new choice in a facet: at once, or, where the lens has a button for it, when that is pressed. */
  async pick(choices: Choices, how: 'push' | 'typing' = 'push'): Promise<void> {
    if (this.settings?.address.apply !== 'button') return this.choose(choices, how);
    this.choices = choices;
    const address = withForeign(this.#search, writeChoices(choices, this.settings), this.settings.names);
    this.#picked = true;
    this.#counting?.abort();
    const running = (this.#counting = new AbortController());
    this.redraw();
    try {
      const reply = await this.#transport.ask(address, running.signal);
      if (running.signal.aborted) return;
      // pressed, the button finds its answer here at once
      this.#answers.put(address, reply);
      this.pending = reply.answer;
      this.status = 'ready';
      this.redraw();
    } catch (error) {
      if (running.signal.aborted || (error as Error).name === 'AbortError') return;
      this.status = 'failed';
      this.redraw();
    }
  }

  /** Whether choices wait for the button. */
  get waits(): boolean {
    return this.pending !== undefined && this.pending !== this.answer;
  }

  /** Does what was chosen and waited. */
  async apply(): Promise<void> {
    await this.choose(this.choices);
  }

  /** What facets are drawn by: the answer to what is chosen, applied or not. */
  get drawn(): Answer | undefined {
    return this.pending ?? this.answer;
  }

  /** Marks a post, or takes the mark away. Where only marked posts are shown, the listing follows. */
  mark(id: string): void {
    if (!this.settings) return;
    this.marks = new Set(this.marks);
    if (!this.marks.delete(id)) this.marks.add(id);
    keepMarks(this.settings.source, this.marks);
    const facet = this.settings.facets.find((one) => one.marks);
    if (facet && this.choices.facets[facet.key]?.length) {
      void this.choose({ ...this.choices, page: 1, facets: { ...this.choices.facets, [facet.key]: [...this.marks] } });
    } else this.redraw();
  }

  /** Lets go of what stands in the boxes of a facet, or of all, and is no choice. */
  forgetTyped(key?: string): void {
    if (key === undefined) {
      this.typed.clear();
      this.badDays.clear();
      return;
    }
    this.typed.delete(key);
    for (const end of ['from', 'to']) this.badDays.delete(`${key} ${end}`);
  }

  /** Finds terms of a facet by a part of their labels. */
  find(key: string, text: string): void {
    this.finds.set(key, text);
    if (text.trim() === '') this.found.delete(key);
    else void this.#lookFor(key);
    this.redraw();
  }

  /** Asks for terms that the answer does not hold, once nothing more is typed for a moment. */
  async #lookFor(key: string): Promise<void> {
    this.#finding.get(key)?.abort();
    const facet = this.drawn?.facets.find((one) => one.key === key);
    if (!facet || !('more' in facet)) return;
    const running = new AbortController();
    this.#finding.set(key, running);
    await new Promise((done) => setTimeout(done, typingPause));
    const text = this.finds.get(key)?.trim() ?? '';
    if (running.signal.aborted || text === '' || !this.settings) return;
    try {
      const found = await this.#transport.find(key, text, writeChoices(this.choices, this.settings), running.signal);
      if (running.signal.aborted) return;
      this.found.set(key, found);
      this.redraw();
    } catch {
      // what the answer holds is still looked through
    }
  }

  isFolded(key: string): boolean {
    const own = this.folds.get(key);
    if (own !== undefined) return own;
    // what one has chosen is never out of sight
    if (this.choices.facets[key]?.length) return false;
    return this.settings?.facets.find((facet) => facet.key === key)?.folded ?? false;
  }

  fold(key: string, folded: boolean): void {
    this.folds.set(key, folded);
    if (!this.#preview) keepFolds(this.name, this.folds);
    this.redraw();
  }

  /** The next letter typed begins a new entry of the history. */
  endTyping(): void {
    this.#typing = false;
  }

  /** The address of other choices, for links that also work when opened in a new tab. */
  hrefOf(choices: Choices): string {
    if (!this.settings) return '';
    return `?${withForeign(this.#search, writeChoices(choices, this.settings), this.settings.names)}`;
  }

  /** Draws anew without asking: something that is not in the address has changed. */
  redraw(): void {
    for (const watcher of this.#watchers) watcher(false);
  }

  get #search(): string {
    return this.#preview ? this.#previewAddress : location.search.replace(/^\?/, '');
  }

  #go(address: string): Promise<void> {
    this.#picked = false;
    this.#previewAddress = address;
    return this.#show(this.#state);
  }

  /** Draws a state that is hard to come by, for whoever works on the lens. */
  async #show(state: PageState): Promise<void> {
    this.#state = state;
    if (state === 'loading' || state === 'failed') {
      this.#running?.abort();
      this.answer = this.pending = undefined;
      this.status = state;
      this.redraw();
      return;
    }
    await this.#ask(state === 'first' ? '' : this.#previewAddress, true);
    if (state === 'empty' && this.answer && this.#state === state) {
      this.answer = emptied(this.answer);
      this.redraw();
    }
  }

  #write(address: string, how: 'push' | 'replace'): void {
    if (this.#preview) {
      if (address === this.#previewAddress) return;
      this.#previewAddress = address;
      tellWent(address, how);
      return;
    }
    const url = `${location.pathname}${address === '' ? '' : `?${address}`}${location.hash}`;
    if (how === 'push') history.pushState(history.state, '', url);
    else history.replaceState(history.state, '', url);
  }

  async #ask(address: string, keepChoices: boolean): Promise<void> {
    if (!this.#picked) this.#counting?.abort();
    this.#running?.abort();
    const running = new AbortController();
    this.#running = running;
    this.waiting = true;
    const before = this.#answers.get(address);
    if (before && (!keepChoices || this.settings?.address.apply === 'button')) this.#take(before);
    this.redraw();
    try {
      const reply = await this.#transport.ask(address, running.signal);
      if (running.signal.aborted) return;
      this.#answers.put(address, reply);
      this.waiting = false;
      this.#take(reply);
      const canonical = withForeign(address, reply.answer.address, reply.settings.names);
      if (canonical !== address && this.#state === 'live') this.#write(canonical, 'replace');
      for (const watcher of this.#watchers) watcher(true);
    } catch (error) {
      if (running.signal.aborted || (error as Error).name === 'AbortError') return;
      this.waiting = false;
      this.status = 'failed';
      this.redraw();
    }
  }

  #take({ settings, answer }: Reply): void {
    if (this.settings?.source !== settings.source) this.marks = readMarks(settings.source);
    this.settings = settings;
    this.answer = answer;
    // what was picked meanwhile is the visitor's: an answer to what stood before must not take it back
    if (!this.#picked) {
      this.pending = undefined;
      this.choices = choicesOf(answer, settings);
    }
    this.status = 'ready';
    // counts of what was found were those of the answer before
    for (const [key, text] of this.finds) if (text.trim() !== '') void this.#lookFor(key);
  }
}

/** An answer as it would be if nothing matched: each choice is a way out to what there is now. */
function emptied(answer: Answer): Answer {
  const ways = answer.facets
    .filter((facet) => facet.visible)
    .slice(0, 3)
    .map((facet) => ({ without: facet.key, matched: answer.matched, address: '' }));
  return { ...answer, matched: 0, items: [], page: 1, pages: 1, ways };
}

const listings = new Map<string, Listing>();

/** The listing of a name: one for all its elements on the page. */
export function listingOf(name: string, origin: string, preview: boolean): Listing {
  const key = `${origin} ${name}`;
  let listing = listings.get(key);
  if (!listing) {
    listing = new Listing(name, origin, preview);
    listings.set(key, listing);
    void listing.load();
  }
  return listing;
}
