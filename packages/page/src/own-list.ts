import { finished, readQuestion, type Query, type Steps } from '@ivy/core';
import { answerItems, type ItemsAnswer } from './read/answer-items.js';
import { addressOfControls, onPage, readAddress, withoutFacet, writeAddress } from './read/address.js';
import { chipsOf } from './draw/chips.js';
import { controlsOf, isChosen, valueOfLink, type Control, type Controls } from './read/controls.js';
import {
  isPlainPress,
  Pager,
  showChips,
  showChoices,
  showClears,
  showGroups,
  showItems,
  showNumbers,
} from './draw/draw.js';
import { itemsIn, readItemsInSteps } from './read/items.js';
import { Notes } from './notes.js';
import { reportOf, type ListReport } from './check/list-report.js';
import { inSlices } from './slices.js';
import { followPages, goesOn, putOthers, type Followed } from './read/pages.js';
import { setUpInSteps, type Facet, type Setup } from './read/setup.js';

/** Items that are read and laid out in one go; more are in slices. */
const madeAtOnce = 2000;

/** Milliseconds after the last letter typed until the list follows. */
const typingPause = 120;

/** A list of the page’s own that is filtered by controls of the page’s own. */
export class OwnList {
  readonly notes: Notes;
  readonly ready: Promise<void>;
  setup: Setup | undefined;
  answer: ItemsAnswer | undefined;
  #controls: Controls;
  #making: Steps<void> | undefined;
  /** What was chosen before it could be answered. */
  #early: 'push' | 'typing' | undefined;
  #items: HTMLElement[] = [];
  #own = '';
  #foreign: string[] = [];
  #pager: Pager | undefined;
  #typing = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #others: Followed | undefined;
  #drawFacets: typeof import('./draw/own-facets.js').drawFacets | undefined;
  /** Items a page has, where the page has pages; else 0. */
  #pageSize = 0;
  readonly #stops = new AbortController();
  readonly #mutations = new MutationObserver(() => this.#reread());

  constructor(
    readonly name: string,
    readonly list: HTMLElement,
    /** Marks a page, where a mapping does that in place of the page. */
    private readonly prepare: (page: Document) => void = () => {},
  ) {
    this.notes = new Notes(name);
    this.#controls = controlsOf(name);
    this.ready = this.#start();
  }

  /** Looks whether controls have come or gone, as on a page that draws its form late. */
  look(): void {
    if (!this.setup || this.list.dataset.ivyState === 'reading') return;
    const count = ({ groups, sort, forms }: Controls) => [
      ...groups.flatMap(({ controls }) => controls),
      ...forms,
      ...(sort ? [sort] : []),
    ];
    const [now, before] = [count(controlsOf(this.name)), count(this.#controls)];
    if (now.length === before.length && now.every((one, i) => one === before[i])) return;
    void this.#make(() => this.#load());
  }

  /** What of the list and its controls was found, for whoever builds the page. */
  report(): ListReport {
    return reportOf(this.name, this.list.dataset.ivyState ?? '', this.#items.length, this.setup, this.notes.said);
  }

  stop(): void {
    this.#stops.abort();
    this.#mutations.disconnect();
    clearTimeout(this.#timer);
  }

  /** What is chosen, as the address says it. Setting it is as if a visitor had chosen it. */
  get query(): string {
    return this.setup ? writeAddress(this.#own, [], this.setup) : '';
  }

  set query(address: string) {
    if (this.setup) this.#go(readAddress(address, this.setup).own, 'push');
  }

  async #start(): Promise<void> {
    this.list.dataset.ivyState = 'reading';
    try {
      this.#items = itemsIn(this.list);
      await this.#loadFacets();
      const pager = document.querySelector<HTMLElement>(`[data-ivy-pager="${CSS.escape(this.name)}"]`);
      if (pager) this.#pager = new Pager(pager);
      this.#listen();
      const isPaged = goesOn(this.name);
      await this.#make(() => isPaged || this.#load());
      if (isPaged) await this.#follow();
      this.list.dataset.ivyState = 'ready';
    } catch (error) {
      if (this.#stops.signal.aborted) return;
      // the page is as good as it was without us, its form too
      this.stop();
      this.list.dataset.ivyState = 'failed';
      for (const item of this.#items) item.hidden = false;
      this.notes.say(`it could not be read: ${(error as Error).message}`);
    } finally {
      delete document.documentElement.dataset.ivyWaits;
    }
  }

  /** Puts the items of the other pages with those of this one. */
  async #follow(): Promise<void> {
    const own = this.#items.length;
    const total = [...document.querySelectorAll<HTMLElement>(`[data-ivy-total="${CSS.escape(this.name)}"]`)];
    this.#others = await followPages(this.name, this.#stops.signal, {
      prepare: this.prepare,
      // how far it is stands where the number of items will
      report: (more) => total.forEach((place) => (place.textContent = String(own + more))),
    });
    const { pages, size, isWhole } = this.#others;
    if (!isWhole) this.notes.say('not every page of it could be read; what is chosen is chosen from those that were.');
    this.#pageSize = pages > 0 ? Math.max(own, size) : 0;
    this.#putOthers();
    await this.#make(() => this.#load());
  }

  #putOthers(): void {
    this.#items = putOthers(this.list, this.#others ?? { before: [], behind: [] });
  }

  /** What draws facets is there only where the page has places for them. */
  async #loadFacets(): Promise<void> {
    const place = `[data-ivy-facet][data-ivy-for="${CSS.escape(this.name)}"]`;
    if (!this.#drawFacets && document.querySelector(place))
      this.#drawFacets = (await import('./draw/own-facets.js')).drawFacets;
  }

  /**
   * Makes what answers of what the page has now: a few items at once, and many in slices between which the page goes on.
   * @param then  what is done with it, unless it was begun anew meanwhile
   */
  async #make(then: () => void): Promise<void> {
    const steps = (this.#making = this.#makeInSteps());
    const isNewest = () => this.#making === steps && !this.#stops.signal.aborted;
    if (this.#items.length <= madeAtOnce) finished(steps);
    else if (!(await inSlices(steps, isNewest))) return;
    then();
  }

  *#makeInSteps(): Steps<void> {
    const { ivySize, ivyPrefix = '' } = this.list.dataset;
    const items = yield* readItemsInSteps(this.#items, this.notes);
    this.#drawFacets?.(this.name, items.records, document);
    const controls = controlsOf(this.name);
    if (controls.forms.length === 0) this.notes.say(`nothing drives it. Put data-ivy-for="${this.name}" on a form.`);
    const stacks = document.querySelector(`[data-ivy-more="${CSS.escape(this.name)}"]`) !== null;
    const size = Number(ivySize) > 0 ? Math.floor(Number(ivySize)) : this.#pageSize;
    const setup = yield* setUpInSteps(items, controls, { prefix: ivyPrefix, size, stacks }, this.notes);
    this.#controls = controls;
    this.setup = setup;
  }

  #listen(): void {
    const { signal } = this.#stops;
    const driven = (event: Event) => {
      const target = event.target as HTMLElement;
      return this.#controls.forms.some(
        (form) =>
          form.contains(target) ||
          (target as HTMLInputElement).form === form ||
          (target instanceof HTMLFormElement && target.contains(form)),
      );
    };
    const later = (event: Event) => {
      if (!driven(event) || this.#controls.waits) return;
      const isText = (event.target as HTMLInputElement).matches('input:not([type=checkbox], [type=radio])');
      clearTimeout(this.#timer);
      this.#timer = setTimeout(() => this.#take(isText ? 'typing' : 'push'), isText ? typingPause : 0);
    };
    document.addEventListener('input', later, { signal });
    document.addEventListener(
      'change',
      (event) => {
        if (driven(event) && (event.target as HTMLElement).matches('select, [type=checkbox], [type=radio]'))
          later(event);
        this.#typing = false;
      },
      { signal },
    );
    document.addEventListener(
      'submit',
      (event) => {
        if (!driven(event)) return;
        event.preventDefault();
        this.#take('push');
      },
      { signal },
    );
    document.addEventListener(
      'reset',
      (event) => {
        if (!driven(event)) return;
        event.preventDefault();
        this.#go('', 'push');
      },
      { signal },
    );
    document.addEventListener('click', (event) => this.#press(event, driven), { signal });
    window.addEventListener('popstate', () => this.#load(), { signal });
    this.#watch();
  }

  #press(event: Event, driven: (event: Event) => boolean): void {
    const button = (event.target as Element).closest<HTMLElement>('button, a[href], [data-ivy-more], [data-ivy-clear]');
    if (!button) return;
    if (button.dataset.ivyMore === this.name) {
      event.preventDefault();
      return this.#turn((this.answer?.page ?? 1) + 1);
    }
    if (!driven(event)) return;
    if (button.dataset.ivyClear !== undefined) {
      event.preventDefault();
      return this.#clear(button.dataset.ivyClear);
    }
    const group = this.#controls.groups.find(({ controls }) => controls.includes(button as Control));
    if (button instanceof HTMLAnchorElement) {
      if (!group || !isPlainPress(event as MouseEvent)) return;
      event.preventDefault();
      const isOn = button.getAttribute('aria-current') === 'true';
      for (const one of group.controls) one.removeAttribute('aria-current');
      if (!isOn && valueOfLink(button, group) !== '') button.setAttribute('aria-current', 'true');
      this.#take('push');
    } else if (group && button instanceof HTMLButtonElement) {
      button.setAttribute('aria-pressed', String(button.getAttribute('aria-pressed') !== 'true'));
      this.#take('push');
    }
  }

  #clear(control: string): void {
    const facet = this.setup?.facets.find(({ group }) => group.name === control);
    this.#go(control === '' ? '' : withoutFacet(this.#own, facet, this.setup!), 'push');
  }

  /** Takes what the controls say. */
  #take(how: 'push' | 'typing'): void {
    clearTimeout(this.#timer);
    if (!this.setup) return void (this.#early = how);
    this.#go(this.#chosen(), how);
  }

  /** What the controls say. */
  #chosen(): string {
    const isOn = (facet: Facet, value: string) =>
      facet.choices.some((choice) => choice.value === value && isChosen(choice));
    return addressOfControls(this.setup!, this.#controls.sort, isOn);
  }

  #turn(page: number): void {
    this.#go(onPage(this.#own, page, this.setup!), 'push');
  }

  /** What is typed in one go is one entry of the browser's history. */
  #go(own: string, how: 'push' | 'typing'): void {
    const before = this.#own;
    this.#ask(own);
    if (this.#own === before) return;
    const isSame = how === 'typing' && this.#typing;
    this.#typing = how === 'typing';
    history[isSame ? 'replaceState' : 'pushState'](history.state, '', this.#href());
    this.#tell('ivy:change');
    this.#tell('ivy:answer');
  }

  #href(own = this.#own): string {
    const address = writeAddress(own, this.#foreign, this.setup!);
    return `${location.pathname}${address === '' ? '' : `?${address}`}${location.hash}`;
  }

  /** Reads the address of the page, and stands as it says. */
  #load(): void {
    if (!this.setup) return;
    const { own, foreign } = readAddress(location.search, this.setup);
    this.#foreign = foreign;
    this.#typing = false;
    const early = this.#early;
    if (early) {
      // what was chosen before there was an answer is chosen besides what the address says
      this.#early = undefined;
      this.#own = own;
      return this.#go([this.#chosen(), own].filter((one) => one !== '').join('&'), early);
    }
    this.#ask(own);
    if (own !== '' && this.#href() !== location.pathname + location.search + location.hash)
      history.replaceState(history.state, '', this.#href());
    this.#tell('ivy:answer');
  }

  #ask(own: string): void {
    const setup = this.setup!;
    const { query, notices } = readQuestion(
      setup.index,
      setup.lens,
      own,
      Date.now(),
      setup.lens.paging.mode === 'more' ? 1 : undefined,
    );
    this.answer = answerItems(setup.index, query, notices, this.#items);
    this.#own = this.answer.address;
    for (const { code, facet, value } of this.answer.notices) {
      if (/^(unknown|bad)-/.test(code))
        this.notes.say(`the address says ${facet ?? ''} “${value ?? ''}”, which is not there; it was left out.`);
    }
    this.#draw(query);
  }

  #draw({ selections }: Query): void {
    const { answer, setup, name } = this;
    if (!answer || !setup) return;
    this.#mutations.disconnect();
    showItems(this.#items, answer.items);
    showGroups(name, this.#items);
    showChoices(setup.facets, answer);
    const { sort } = this.#controls;
    if (sort)
      sort.value =
        [...setup.orders].find(([, key]) => key === answer.sort)?.[0] ??
        (sort.querySelector('option[value=""]') ? '' : sort.value);
    showNumbers(name, answer);
    const clear = (facet: Facet) => this.#clear(facet.group.name);
    const remove = (facet: Facet, slug: string) => this.#remove(facet, slug);
    showChips(name, chipsOf(setup.facets, answer, clear, remove));
    const chosen = (control: string) =>
      setup.facets.some(
        ({ key, group }) => (control === '' || group.name === control) && selections[key] !== undefined,
      );
    showClears(this.#controls.forms, chosen);
    const more = document.querySelector<HTMLElement>(`[data-ivy-more="${CSS.escape(name)}"]`);
    if (more) more.hidden = answer.page >= answer.pages;
    if (this.#pageSize > 0 || this.list.dataset.ivySize) {
      this.#pager?.draw(
        answer.page,
        answer.pages,
        (page) => this.#href(onPage(this.#own, page, setup)),
        (page) => {
          this.#turn(page);
          this.list.scrollIntoView({ block: 'start' });
        },
      );
    }
    this.#watch();
  }

  #remove(facet: Facet, slug: string): void {
    const isOn = (one: Facet, value: string) =>
      one.choices.some((choice) => choice.value === value && isChosen(choice)) &&
      !(one === facet && one.slugs.get(value) === slug);
    if (facet.kind === 'search') this.#clear(facet.group.name);
    else this.#go(addressOfControls(this.setup!, this.#controls.sort, isOn), 'push');
  }

  #watch(): void {
    this.#mutations.observe(this.list, { childList: true, subtree: true, characterData: true });
  }

  /** A page that draws its list anew is read anew, and stands as its address says. */
  #reread(): void {
    this.#mutations.disconnect();
    this.prepare(document);
    // what came from other pages may have gone with what was there
    this.#putOthers();
    void this.#make(() => this.#ask(this.#own));
    // it may be drawn anew once more before all of it is read
    this.#watch();
  }

  #tell(what: 'ivy:change' | 'ivy:answer'): void {
    this.list.dispatchEvent(
      new CustomEvent(what, { bubbles: true, detail: { query: this.query, answer: this.answer } }),
    );
  }
}
