import { Lru, splitAddress, type Answer, type Settings, type SpanName } from '@ivy/core';
import { choicesOf, withForeign, writeChoices, type Choices } from '@ivy/view';
import { pageBar, type AddressBar } from './address-bar.js';
import { Ahead } from './ahead.js';
import { drivenBy, type Neighbours } from './following.js';
import { keepFolds, readFolds } from './kept.js';
import { Marks } from './marks.js';
import { Opened } from './opened.js';
import { Retry } from './retry.js';
import { readShape, type Shape } from './shape.js';
import { TermFinder } from './term-finder.js';
import { Refusal, type Reply, type Transport } from './transport.js';

/** `gone`: there is no such listing, or not as it is asked for here. */
export type Status = 'loading' | 'ready' | 'failed' | 'gone';

/** Called whenever there is something to draw: after a choice, an answer, or something else. */
type Watcher = (what?: 'change' | 'answer') => void;

/** Milliseconds after a choice in which things are expected to move; answers kept so that going back draws at once. */
const [expected, answersKept] = [400, 20] as const;

/**
 * One lens on a page: its settings, its newest answer, and what the visitor has chosen. All elements of one name, prefix
 * and scope share it, so they are always in step. The page's address is its state; this only reads and writes it.
 */
export class Listing {
  status: Status = 'loading';
  settings: Settings | undefined;
  answer: Answer | undefined;
  /** How it looks: rules of a sheet. */
  sheet: string | undefined;
  /** The span of widths in which it is being drawn. */
  span: SpanName = 'desktop';
  /** What is chosen, at once on a click, before its answer is there. */
  choices: Choices = { facets: {}, sort: null, page: 1 };
  /** Where links and pictures of posts are relative to; empty for the page itself. */
  base = '';
  /** Whether an answer is on its way. */
  waiting = true;
  /** Whether the newest answer is to a single choice: posts then go to their new places. */
  moves = false;
  /** Whether the posts of a further page are on their way, to be put below. */
  loadsMore = false;
  /** What it looked like when it was last here. */
  readonly shape: Shape;
  /** How many answers came so late that a visitor no longer expects things to move. */
  late = 0;
  readonly opened = new Opened();
  readonly marked = new Marks();
  readonly finder = new TermFinder(
    (key, text, signal) => {
      const facet = this.drawn?.facets.find((one) => one.key === key);
      return facet && 'more' in facet
        ? this.transport.find(key, text, this.#driven + this.#own(this.choices), signal)
        : null;
    },
    () => this.redraw(),
  );
  /** The answer to choices that wait for the button, where a lens has one. */
  pending: Answer | undefined;

  readonly #watchers = new Set<Watcher>();
  readonly #answers = new Lru<string, Reply>(answersKept);
  readonly #retry = new Retry(() => void this.ask(this.bar.search, true));
  readonly #stops: (() => void)[];
  #running: AbortController | undefined;
  readonly #ahead = new Ahead();
  /** Counting what is picked but not applied: apart from `#running`, so that neither takes the other's answer away. */
  #counting: AbortController | undefined;
  /** What is chosen in the listings this one follows, as a question says it. */
  #driven = '';
  #isKnown!: () => void;
  /** Ends with the first answer, or when there is none to come. */
  readonly known = new Promise<void>((done) => {
    this.#isKnown = done;
  });
  /** Whether choices were picked that the button has not applied yet. */
  #picked = false;
  #typing = false;
  #known: string | undefined;

  /**
   * @param id  tells it from all others of the page: ids of its parts begin with it, and what is folded is kept by it
   */
  constructor(
    readonly id: string,
    private readonly transport: Transport,
    private readonly bar: AddressBar = pageBar,
    readonly keeps = true,
    private readonly neighbours?: Neighbours,
  ) {
    if (keeps) this.opened.folds = readFolds(id);
    this.shape = readShape(id);
    this.sheet = this.shape.sheet;
    this.#stops = [this.marked.watch(() => this.redraw()), bar.watch(() => this.#gone())];
  }

  /** Lets go of all it listens to. */
  stop(): void {
    this.#running?.abort();
    for (const stop of this.#stops) stop();
    this.#retry.stop();
  }

  watch(watcher: Watcher): () => void {
    this.#watchers.add(watcher);
    return () => this.#watchers.delete(watcher);
  }

  get isWatched(): boolean {
    return this.#watchers.size > 0;
  }

  /** Asks for what the address says. */
  load(): Promise<void> {
    this.#picked = this.moves = false;
    return this.ask(this.bar.search, false);
  }

  /**
   * Takes a new choice: draws it at once, writes the address, and asks. What is typed in one go is one entry of the
   * browser's history, not one a letter.
   */
  async choose(choices: Choices, how: 'push' | 'typing' = 'push'): Promise<void> {
    if (!this.settings) return;
    this.choices = choices;
    const address = this.#address(choices);
    this.#picked = false;
    this.pending = undefined;
    this.bar.write(address, how === 'typing' && this.#typing ? 'replace' : 'push');
    this.#typing = how === 'typing';
    this.moves = how === 'push';
    this.opened.loads = 0;
    this.#tell('change');
    await this.ask(address, true);
  }

  /** Takes a new choice in a facet: at once, or, where the lens has a button for it, when that is pressed. */
  async pick(choices: Choices, how: 'push' | 'typing' = 'push'): Promise<void> {
    if (this.settings?.address.apply !== 'button') return this.choose(choices, how);
    this.choices = choices;
    const address = this.#address(choices);
    this.#picked = true;
    this.#counting?.abort();
    const running = (this.#counting = new AbortController());
    this.#tell('change');
    try {
      const reply = await this.#fetch(address, running.signal);
      if (running.signal.aborted) return;
      this.pending = reply.answer;
      this.status = 'ready';
      this.redraw();
    } catch (error) {
      this.#fail(error, running.signal);
    }
  }

  /** Puts the posts of the next page below those that are there. The address says that page from then on. */
  async more(): Promise<void> {
    const { answer } = this;
    const choices = this.#next();
    // what is chosen but not answered yet has other posts: the next ones of these would not fit below
    if (!answer || !choices || this.loadsMore || this.waiting) return;
    this.moves = false;
    const address = this.#address(choices);
    const running = (this.#running = new AbortController());
    this.loadsMore = true;
    this.redraw();
    try {
      const reply = await this.#fetch(address, running.signal, choices.page);
      if (running.signal.aborted) return;
      this.bar.write(address, 'replace');
      // after a release, or a change of posts, pages of before and after do not fit together
      if (reply.known !== this.#known) return await this.ask(address, true);
      const whole = {
        ...reply.answer,
        from: answer.from ?? answer.page,
        items: [...answer.items, ...reply.answer.items],
      };
      this.#answers.put(this.#driven + address, { ...reply, answer: whole });
      this.#take({ ...reply, answer: whole });
      this.#tell('answer');
    } catch (error) {
      this.#fail(error, running.signal);
    } finally {
      this.loadsMore = false;
      this.redraw();
    }
  }

  /** Fetches where a visitor may go next, so that it is there when they do. Without choices: the next page. */
  fetchAhead(choices?: Choices): void {
    const next = choices ?? this.#next();
    if (!next) return;
    const address = this.#driven + this.#address(next);
    const from = choices ? undefined : next.page;
    const ask = () => this.transport.ask(address, new AbortController().signal, from);
    this.#ahead.fetch(`${from ?? ''} ${address}`, ask);
  }

  /** What the next page is asked by: the choices that are answered, whatever is picked besides; null on the last. */
  #next(): Choices | null {
    const { answer, settings } = this;
    if (!answer || !settings || answer.page >= answer.pages) return null;
    return { ...choicesOf(answer, settings), page: answer.page + 1 };
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
    this.marked.of(this.settings.source);
    this.marked.toggle(id);
    const facet = this.settings.facets.find((one) => one.marks);
    const { facets } = this.choices;
    if (facet && facets[facet.key]?.length) {
      void this.choose({ ...this.choices, page: 1, facets: { ...facets, [facet.key]: [...this.marked.ids] } });
    } else this.redraw();
  }

  /** How it lies at each width; until that is known, as it did when it was last here. */
  get look(): Settings['look'] {
    return (this.settings ?? this.shape).look;
  }

  /** How it lies where it is being drawn. */
  get placed(): Settings['look'][SpanName] {
    return this.look[this.span];
  }

  isFolded(key: string): boolean {
    const own = this.opened.folds.get(key);
    if (own !== undefined) return own;
    // what one has chosen is never out of sight
    if (this.choices.facets[key]?.length) return false;
    return this.placed.folded[key] ?? this.settings?.facets.find((facet) => facet.key === key)?.folded ?? false;
  }

  fold(key: string, folded: boolean): void {
    this.opened.folds.set(key, folded);
    if (this.keeps) keepFolds(this.id, this.opened.folds);
    this.redraw();
  }

  /** The next letter typed begins a new entry of the history. */
  endTyping(): void {
    this.#typing = false;
  }

  /** The address of other choices, for links that also work when opened in a new tab. */
  hrefOf(choices: Choices): string {
    return this.settings ? `?${this.#address(choices)}` : '';
  }

  /** Draws anew without asking: something that is not in the address has changed. */
  redraw(): void {
    this.#tell();
  }

  /** Asks for an address, and takes its answer. */
  protected async ask(address: string, keepChoices: boolean): Promise<void> {
    if (!this.#picked) this.#counting?.abort();
    this.#running?.abort();
    const running = (this.#running = new AbortController());
    this.waiting = true;
    const asked = performance.now();
    const before = this.#answers.get(this.#driven + address);
    if (before && (!keepChoices || this.settings?.address.apply === 'button')) this.#take(before);
    this.redraw();
    try {
      const reply = await this.#fetch(address, running.signal);
      if (running.signal.aborted) return;
      if (await this.#isDrivenAnew(reply)) return await this.ask(address, keepChoices);
      this.waiting = false;
      if (this.answer && performance.now() - asked > expected) this.late++;
      this.#take(reply);
      this.answered(withForeign(address, reply.answer.address, reply.settings.names), address);
      this.#tell('answer');
      // what it follows may have changed while this was on its way
      if (reply.settings.follows?.length) void this.follow();
    } catch (error) {
      if (!running.signal.aborted) this.waiting = false;
      this.#fail(error, running.signal);
    }
  }

  /** An answer says how its address is written: so is the page's from then on. */
  protected answered(canonical: string, asked: string): void {
    if (canonical !== asked) this.bar.write(canonical, 'replace');
  }

  /** Asks again where what is chosen in a listing it follows has changed; its own first page is shown then. */
  async follow(): Promise<void> {
    const { settings, answer } = this;
    if (!settings || !answer || !(await this.#isDrivenAnew({ settings, answer }))) return;
    const address = this.#address({ ...this.choices, page: 1 });
    this.bar.write(address, 'replace');
    await this.ask(address, false);
  }

  /** Takes what is chosen in the listings it follows, and says whether that is another thing than before. */
  async #isDrivenAnew({ settings, answer }: Reply): Promise<boolean> {
    // two that follow each other would wait for good: what is chosen here can be followed from here on
    if (!this.answer) this.choices = choicesOf(answer, settings);
    this.#isKnown();
    const driven = await drivenBy(settings.follows ?? [], this.neighbours);
    const isAnew = driven !== this.#driven;
    this.#driven = driven;
    return isAnew;
  }

  /** Gives up what is being asked, and stands as if nothing had come. */
  protected empty(status: Status): void {
    this.#running?.abort();
    this.answer = this.pending = undefined;
    this.status = status;
    this.redraw();
  }

  #tell(what?: 'change' | 'answer'): void {
    for (const watcher of this.#watchers) watcher(what);
    if (what) this.neighbours?.changed(this);
  }

  async #fetch(address: string, signal: AbortSignal, from?: number): Promise<Reply> {
    const asked = this.#driven + address;
    const key = `${from ?? ''} ${asked}`;
    const reply = await (this.#ahead.take(key) ?? this.transport.ask(asked, signal, from));
    // pressed, a button finds its answer here at once
    if (!signal.aborted && from === undefined) this.#answers.put(asked, reply);
    return reply;
  }

  /** Says that something failed; what was overtaken is not worth saying. */
  #fail(error: unknown, signal: AbortSignal): void {
    if (signal.aborted || (error as Error).name === 'AbortError') return;
    this.#isKnown();
    const isRefused = error instanceof Refusal && error.status < 500 && error.status !== 429 && error.status !== 408;
    this.status = isRefused && !this.answer ? 'gone' : 'failed';
    // what is refused stays so until someone who builds the page mends it
    if (isRefused) console.error(`Ivy Lens: ${(error as Error).message}`);
    else this.#retry.later();
    this.redraw();
  }

  #gone(): void {
    this.opened.forgetTyped();
    this.endTyping();
    // going back over what another listing of the page did changes nothing here
    if (this.answer && this.#ownIn(this.bar.search) === this.#own(this.choices) && !this.waiting) return;
    void this.load();
  }

  #take({ settings, answer, sheet, known }: Reply): void {
    this.#known = known;
    this.sheet = sheet;
    this.marked.of(settings.source);
    this.settings = settings;
    this.answer = answer;
    // what was picked meanwhile is the visitor's: an answer to what stood before must not take it back
    if (!this.#picked) {
      this.pending = undefined;
      this.choices = choicesOf(answer, settings);
    }
    this.status = 'ready';
    this.#retry.done();
    this.finder.again();
  }

  #own(choices: Choices): string {
    return writeChoices(choices, this.settings!);
  }

  #address(choices: Choices): string {
    return withForeign(this.bar.search, this.#own(choices), this.settings!.names);
  }

  /** What of an address is this listing's, as far as it knows: with a later release that may be more. */
  #ownIn(address: string): string {
    const { settings } = this;
    if (!settings) return address;
    const own = splitAddress(address).filter(({ name }) => settings.names.includes(name));
    return own.map(({ raw }) => raw).join('&');
  }
}
