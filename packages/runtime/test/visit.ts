import {
  answerCompactly,
  buildIndex,
  findTerms,
  frameOf,
  pageSettings,
  readLens,
  readQuestion,
  type Field,
  type Post,
  type Term,
} from '@ivy/core';
import { html, render } from 'lit-html';
import { drawChips } from '../src/draw/chips.js';
import { drawCount, drawSize, drawSort } from '../src/draw/count-and-sort.js';
import { drawFacets } from '../src/draw/facets.js';
import { fetchLater } from '../src/draw/with-later.js';
import { drawPager } from '../src/paging/paging.js';
import { Listing } from '../src/listing/listing.js';
import { HttpTransport } from '../src/listing/transport.js';
import { belongsTo } from './belongs.js';

const field = (key: string, type: Field['type'], more: Partial<Field> = {}): Field => {
  const label = key[0]!.toUpperCase() + key.slice(1);
  return { key, label, type, role: null, tree: false, multiple: false, separator: null, pathSeparator: null, ...more };
};
const terms = (...slugs: string[]): Term[] =>
  slugs.map((slug) => ({ slug, label: slug[0]!.toUpperCase() + slug.slice(1), parent: null }));

/** Forty walks: every kind, guide and length in turn, two a month. */
const posts = Array.from({ length: 40 }, (_, i): Post => {
  const month = String(1 + (Math.floor(i / 2) % 12)).padStart(2, '0');
  return {
    id: `w${i}`,
    values: {
      kind: [['walk', 'count', 'talk', 'boat'][i % 4]!],
      tags: [['mud', 'reed', 'dune'][i % 3]!, ...(i % 5 === 0 ? ['tern'] : [])],
      day: `${i < 24 ? 2025 : 2026}-${month}-${i % 2 === 0 ? '03' : '20'}`,
      minutes: 20 + ((i * 10) % 100),
      open: i % 4 === 0,
      plot: [`plot-${i * 60}`],
      title: `Walk ${i}`,
    },
  };
});
const fields = [
  field('kind', 'terms'),
  field('tags', 'terms', { multiple: true }),
  field('day', 'date', { role: 'published' }),
  field('minutes', 'number'),
  field('open', 'boolean'),
  field('plot', 'terms'),
  field('title', 'text', { role: 'title' }),
];
/** More terms than an answer holds. */
const plots = Array.from({ length: 2600 }, (_, i) => ({ slug: `plot-${i}`, label: `Plot ${i}`, parent: null }));
const taxonomies = {
  plot: plots,
  kind: terms('walk', 'count', 'talk', 'boat'),
  tags: terms('mud', 'reed', 'dune', 'tern'),
};
const index = buildIndex({ fields, taxonomies, posts });

const now = Date.UTC(2026, 4, 18);

/** A visitor on a page with a listing, answered by the engine itself. */
export class Visit {
  readonly page = document.body.appendChild(document.createElement('div'));
  readonly listing: Listing;
  /** Query strings the server was asked for, in turn. */
  readonly asked: string[] = [];

  private constructor(lens: object) {
    const read = readLens(lens);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const settings = pageSettings(index, read.value, { name: 'Walks', source: 'walks' });
    history.replaceState(null, '', '/walks');
    globalThis.fetch = ((url: string) => {
      const [path, query = ''] = url.split('?') as [string, string?];
      const asked = /\/terms\/(\w+)$/.exec(path)?.[1];
      if (asked) {
        const rest = query.split('&').slice(1).join('&');
        const text = new URLSearchParams(query).get('find')!;
        const terms = findTerms(index, readQuestion(index, read.value, rest, now).query, asked, text);
        return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(terms) });
      }
      this.asked.push(query);
      const from = Number(/^~from=(\d+)&/.exec(query)?.[1] ?? 1);
      const own = query.replace(/^~from=\d+&/, '');
      const answer = answerCompactly(index, readQuestion(index, read.value, own, now, from).query);
      const isKnown = path.endsWith('/listing/known');
      const body = { known: 'known', answer, ...(!isKnown && { settings, frame: frameOf(index, read.value) }) };
      return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(body) });
    }) as unknown as typeof fetch;
    this.listing = new Listing('walks', new HttpTransport(belongsTo('walks')));
    this.listing.watch(() => this.#draw());
  }

  /** Comes to a listing with some facets and waits until it is there. */
  static async to(facets: object[], more: object = {}): Promise<Visit> {
    await fetchLater();
    const visit = new Visit({ facets, paging: { size: 4 }, ...more });
    await visit.listing.load();
    return visit;
  }

  #draw(): void {
    const { listing } = this;
    const parts = html`${drawFacets(listing)} ${drawCount(listing)} ${drawSize(listing)} ${drawSort(listing)}
    ${drawChips(listing)} ${drawPager(listing, () => undefined)}`;
    render(parts, this.page);
  }

  leave(): void {
    this.page.remove();
  }

  /** Query string of the page. */
  get address(): string {
    return location.search.replace(/^\?/, '');
  }

  get count(): string {
    return this.words('.ivy-count-line')[0]!;
  }

  all<E extends HTMLElement = HTMLElement>(selector: string): E[] {
    return [...this.page.querySelectorAll<E>(selector)];
  }

  words(selector: string): string[] {
    return this.all(selector).map((one) => one.textContent.replace(/\s+/g, ' ').trim());
  }

  /** A control by its accessible name or words; `of`: of which kind, where several are called so. */
  named<E extends HTMLElement = HTMLElement>(name: string, of = 'button, a, select, input:not(.ivy-picker)'): E {
    const found = this.all<E>(of).find((one) => nameOf(one) === name);
    if (!found) throw new Error(`Nothing is called ${name}: ${this.page.textContent.replace(/\s+/g, ' ')}`);
    return found;
  }

  /** A box or list by its name: a facet's heading may be called the same. */
  box(name: string): HTMLInputElement {
    return this.named(name, 'select, input:not(.ivy-picker)');
  }

  async press(name: string): Promise<void> {
    this.named(name).click();
    await this.settle();
  }

  /** Puts a value into a box and leaves it, or, with `input`, goes on typing. */
  async set(box: string | HTMLInputElement, value: string, event: 'change' | 'input' = 'change'): Promise<void> {
    const control = typeof box === 'string' ? this.box(box) : box;
    control.value = value;
    control.dispatchEvent(new Event(event, { bubbles: true }));
    await this.settle();
  }

  async key(control: HTMLElement, key: string): Promise<void> {
    control.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    await this.settle();
  }

  async settle(): Promise<void> {
    for (let i = 0; i < 3; i++) await new Promise((done) => setTimeout(done, 0));
  }
}

function nameOf(control: HTMLElement): string {
  const label = control.getAttribute('aria-label') ?? control.closest('label')?.querySelector('span')?.textContent;
  return (label ?? control.textContent).replace(/\s+/g, ' ').trim();
}
