import {
  answer as answerOf,
  buildIndex,
  facetKinds,
  pageSettings,
  readQuestion,
  readLens,
  safeAddress,
  type Field,
  type Post,
  type Term,
} from '@ivy/core';
import { choicesOf, plainPlaced, viewOf, writeChoices, type Shown } from '@ivy/view';
import { html, render } from 'lit-html';
import { hrefOn } from '../../../apps/server/src/delivery/hosted/href.js';
import { drawPlain } from '../../../apps/server/src/delivery/hosted/plain-page.js';
import { drawChips } from '../src/draw/chips.js';
import { drawCount, drawSize, drawSort } from '../src/draw/count-and-sort.js';
import { drawFacets } from '../src/draw/facets.js';
import { drawPager } from '../src/paging/paging.js';
import { drawResults } from '../src/draw/results.js';
import { Listing } from '../src/listing/listing.js';
import { HttpTransport } from '../src/listing/transport.js';
import { belongsTo } from './belongs.js';
import { fetchLater } from '../src/draw/with-later.js';

beforeAll(fetchLater);

/*
 * A page is worked out once and written twice: by the page script, and as a form for pages without scripts. Both must
 * say the same. What each writes is read back into what a visitor would make of it, and the two are compared.
 */

const field = (key: string, type: Field['type'], more: Partial<Field> = {}): Field => {
  const label = key[0]!.toUpperCase() + key.slice(1);
  return { key, label, type, role: null, tree: false, multiple: false, separator: null, pathSeparator: null, ...more };
};
const term = (slug: string, parent: string | null = null): Term => ({ slug, label: `The ${slug}`, parent });
const posts = Array.from({ length: 30 }, (_, i): Post => {
  const title = `${'Avocet Bittern Curlew 7-terns “Knot”'.split(' ')[i % 5]!} ${i}`;
  return {
    id: `w${i}`,
    values: {
      title,
      summary: `Seen at ${i} o’clock, <b>bold</b> & wet`,
      link: i % 7 === 0 ? 'javascript:alert(1)' : `https://example.org/${i}`,
      kind: [['walk', 'count', 'talk'][i % 3]!],
      tags: [`tag${i % 14}`, ...(i % 5 === 0 ? ['tag13'] : [])],
      place: [['spit', 'slip', 'fen', 'inland'][i % 4]!],
      day: `2026-0${1 + (i % 6)}-${10 + i}`.slice(0, 10),
      at: `2026-0${1 + (i % 6)}-${10 + i}T1${i % 10}:30:00Z`.replace(/-(\d\d)\d?T/, '-$1T'),
      minutes: 20 + ((i * 10) % 100),
      open: i % 4 === 0,
      ...(i % 3 > 0 && { picture: `/p/${i}.jpg`, small: `/s/${i}, small.jpg` }),
      plot: [`plot-${i * 60}`],
    },
  };
});
const index = buildIndex({
  fields: [
    field('title', 'text', { role: 'title' }),
    field('summary', 'text', { role: 'summary' }),
    field('link', 'link', { role: 'link' }),
    field('kind', 'terms'),
    field('tags', 'terms', { multiple: true }),
    field('place', 'terms', { tree: true }),
    field('day', 'date', { role: 'published' }),
    field('at', 'datetime'),
    field('minutes', 'number'),
    field('open', 'boolean'),
    field('plot', 'terms'),
    field('picture', 'image'),
    field('small', 'image'),
  ],
  taxonomies: {
    kind: ['walk', 'count', 'talk', 'never'].map((slug) => term(slug)),
    tags: Array.from({ length: 14 }, (_, i) => term(`tag${i}`)),
    place: [term('coast'), term('spit', 'coast'), term('slip', 'coast'), term('inland'), term('fen', 'inland')],
    plot: Array.from({ length: 2600 }, (_, i) => term(`plot-${i}`)),
  },
  posts,
});
const now = Date.UTC(2026, 4, 18);

/** Configs of each kind, and what addresses can choose in them. */
const states: Record<string, { facets: object[]; addresses: string[] }> = {
  checkboxes: {
    facets: [{ field: 'kind' }, { field: 'tags', zero: 'keep', counts: false }, { field: 'plot' }],
    addresses: ['one=walk', 'one=walk,never', 'one=tag1,tag2', 'one=plot-60'],
  },
  radios: { facets: [{ field: 'kind' }, { field: 'open' }], addresses: ['one=walk', 'one=yes', 'one=never'] },
  dropdown: {
    facets: [{ field: 'kind', single: true }, { field: 'place', single: true }, { field: 'tags' }, { field: 'plot' }],
    addresses: ['one=walk', 'one=spit', 'one=tag1,tag2', 'one=plot-1'],
  },
  buttons: {
    facets: [{ field: 'kind' }, { field: 'kind', as: 'links', row: 'scroll' }, { field: 'kind', single: true }],
    addresses: ['one=walk', 'one=walk,talk', 'one=never'],
  },
  tree: {
    facets: [{ field: 'place' }, { field: 'place', single: true }, { field: 'place', levels: 1 }, { field: 'kind' }],
    addresses: ['one=spit', 'one=coast', 'one=spit,inland'],
  },
  steps: {
    facets: [{ field: 'place' }, { field: 'place', levels: ['Shore', 'Spot'] }, { field: 'kind', counts: false }],
    addresses: ['one=coast', 'one=spit', 'one=inland', 'one=walk'],
  },
  letters: {
    facets: [{ field: 'title' }, { field: 'title', single: true, zero: 'hide' }, { field: 'title', counts: false }],
    addresses: ['one=a', 'one=a,b,0-9', 'one=other', 'one=z'],
  },
  switch: {
    facets: [{ field: 'open' }, { field: 'open', both: true }, { field: 'open', start: 'yes', labels: { yes: 'Now' } }],
    addresses: ['one=yes', 'one=no', 'one=either'],
  },
  search: { facets: [{ fields: ['title', 'summary'] }], addresses: ['one=avocet', 'one=%3Cb%3E', 'one=avocat'] },
  'date-range': {
    facets: [
      {
        field: 'day',
        presets: [
          { label: 'This year', range: 'this-year' },
          { label: 'Spring', range: '2026-03' },
        ],
      },
      { field: 'day', pick: 'day' },
    ],
    addresses: ['one=2026-03', 'one=2026-02-11/2026-04-01', 'one=../2026-01-20', 'one=P30D'],
  },
  'time-range': {
    facets: [{ field: 'at' }],
    addresses: ['one=2026-03', 'one=2026-02-11T08:00/2026-02-12T18:30', 'one=../2026-01-20T12'],
  },
  'number-range': {
    facets: [{ field: 'minutes', unit: 'min', step: 5 }],
    addresses: ['one=30/60', 'one=../40', 'one=110/..'],
  },
  favourites: { facets: [{}], addresses: ['one=w1', 'one=w1,w2'] },
};

test('there are states of every kind', () => {
  expect(Object.keys(states).sort()).toEqual([...facetKinds].sort());
});

const others = [
  { key: 'far', kind: 'checkboxes', field: 'kind', label: 'Far' },
  { key: 'fixed', kind: 'radios', field: 'kind', visible: false },
  { key: 'late', kind: 'radios', field: 'tags', label: 'Late', dependsOn: 'far' },
];
const sort = {
  options: [
    { key: 'new', label: 'New', field: 'day', order: 'desc' },
    { key: 'old', label: 'Old', field: 'day' },
  ],
};
const card = {
  parts: [
    { show: 'title', field: 'title' },
    { show: 'text', field: 'summary' },
    { show: 'terms', field: 'kind' },
    { show: 'date', field: 'day' },
    { show: 'number', field: 'minutes', words: 'min', icon: 'clock' },
    { show: 'reading-time', from: 'summary', icon: 'book' },
    { show: 'picture', field: 'picture', whenEmpty: 'drawing', width: 900, sizes: [{ field: 'small', width: 300 }] },
    { show: 'yes-no', field: 'open' },
  ],
};

/** A page drawn both ways. */
function drawnBothWays(
  facet: object,
  kind: string,
  language: string,
  address: string,
  { paging = { size: 4 }, look = {} }: { paging?: object; look?: object } = {},
) {
  const read = readLens({
    facets: [{ key: 'one', kind, ...facet }, ...others],
    sort,
    card,
    language,
    paging,
    look,
  });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const settings = pageSettings(index, read.value, { name: 'Walks', source: 'walks' });
  const question = readQuestion(index, read.value, address, now, 1);
  const answer = answerOf(index, question.query, question.notices);
  const choices = choicesOf(answer, settings);

  history.replaceState(null, '', '/walks?utm=x');
  const listing = new Listing('walks', new HttpTransport(belongsTo('walks')));
  Object.assign(listing, { settings, answer, choices, status: 'ready', waiting: false });
  // what scripts fold away until it is asked for is all there without them
  listing.opened.lists.add('one').add('far').add('late');
  listing.opened.combos.set('one', 0);
  const scripted = document.createElement('div');
  render(
    html`${drawFacets(listing)} ${drawChips(listing)} ${drawCount(listing)} ${drawSize(listing)} ${drawSort(listing)}
    ${drawResults(listing)} ${drawPager(listing, () => undefined)}`,
    scripted,
  );

  const foreign = ['utm=x'];
  const shown: Shown = {
    settings,
    answer,
    placed: plainPlaced(settings.look),
    choices,
    now: Date.now(),
    hrefOf: (next) => hrefOn('', foreign, writeChoices(next, settings)),
    resolve: safeAddress,
    marks: null,
    finds: new Map(),
  };
  const plain = document.createElement('div');
  plain.innerHTML = drawPlain({ view: viewOf(shown), shown, foreign, path: '' }).text;
  return { scripted, plain };
}

const words = (element: Element | null | undefined) => (element?.textContent ?? '').replace(/\s+/g, ' ').trim();
const all = (root: Element, selector: string) => [...root.querySelectorAll<HTMLElement>(selector)];
const linkOf = (element: Element) => element.getAttribute('href');

/** What a visitor makes of one choice, whatever element it is. */
function choiceOf(element: HTMLElement): unknown[] {
  const box = element.querySelector('input');
  const on =
    box?.checked ??
    ['aria-pressed', 'aria-current', 'aria-selected'].some((name) => element.getAttribute(name) === 'true');
  const count = words(element.querySelector('.ivy-count'));
  const muted = element.matches('.ivy-muted') || element.querySelector('.ivy-muted') !== null;
  const label =
    words(element.querySelector('.ivy-label')) ||
    words(element)
      .slice(0, -count.length || undefined)
      .trim();
  return [label, count, on, muted];
}

/** What a visitor makes of what a facet is set by. */
function controlOf(fieldset: HTMLElement): unknown {
  const body = fieldset.querySelector<HTMLElement>('.ivy-facet-body')!;
  const selects = all(body, 'select').map((one) => ({
    label: one.getAttribute('aria-label'),
    options: [...(one as HTMLSelectElement).options].map((option) => [words(option), option.selected]),
  }));
  const lists = all(body, '.ivy-step-list').map((list) => ({
    label: list.querySelector('[role=radiogroup]')!.getAttribute('aria-label'),
    options: all(list, '.ivy-step').map((one) => {
      const [label, count, on] = choiceOf(one);
      return [count === '' ? label : `${String(label)} (${String(count)})`, on];
    }),
  }));
  const boxes = all(body, 'input.ivy-input:not(.ivy-find):not([role=combobox])').map((one) => {
    const input = one as HTMLInputElement;
    // the browser's own box of a day with its time draws the two apart, whatever its value parts them by
    const value = input.type === 'datetime-local' ? input.value.replace('T', ' ') : input.value;
    return [input.getAttribute('aria-label') ?? words(input.closest('label')?.querySelector('span')), value];
  });
  const presets = all(body, '.ivy-presets .ivy-button').map((one) => choiceOf(one).slice(0, 3));
  const links = all(body, 'a.ivy-link').map((one) => [...choiceOf(one), linkOf(one)]);
  return { selects: [...selects, ...lists], boxes, presets, links, more: all(body, '.ivy-more-terms').map(words) };
}

/** Choices of a facet that are listed one by one, in whatever form. */
function optionsOf(fieldset: HTMLElement): unknown[] {
  const flip = fieldset.querySelector<HTMLInputElement>('[role=switch]');
  // a switch is one of three without scripts: on is yes
  if (flip) return [choiceOf(flip.closest('label')!).slice(0, 3)];
  return all(
    fieldset,
    '.ivy-options .ivy-option, .ivy-buttons:not(.ivy-presets) button, [role=option], .ivy-way-of',
  ).map(choiceOf);
}

function treeOf(root: HTMLElement): unknown {
  return {
    facets: all(root, 'fieldset').map((one) => [
      one.dataset.facet,
      one.dataset.kind,
      words(one.querySelector('.ivy-facet-title')),
      controlOf(one),
    ]),
    chips: all(root, '.ivy-chips > li > *').map((one) => [one.className, words(one), one.getAttribute('aria-label')]),
    count: words(root.querySelector('.ivy-count-line')),
    sort: all(root, '.ivy-sort option').map((one) => [
      words(one),
      (one as HTMLOptionElement).value,
      (one as HTMLOptionElement).selected,
    ]),
    notices: all(root, '.ivy-notices p').map(words),
    cards: all(root, '.ivy-card').map((one) => [
      one.dataset.post,
      all(one, '.ivy-card-text > *').map((row) => [row.tagName, row.className, words(row)]),
      all(one, 'a').map(linkOf),
      all(one, 'mark').map(words),
      all(one, '.ivy-icon').map((icon) => icon.dataset.icon),
      all(one, '.ivy-picture').map((picture) => 'missing' in picture.dataset),
      all(one, 'img').map((picture) => ['src', 'srcset', 'sizes', 'alt'].map((name) => picture.getAttribute(name))),
      all(one, 'time').map((time) => time.getAttribute('datetime')),
    ]),
    heads: all(root, 'th').map((one) => [words(one), one.getAttribute('aria-sort'), all(one, 'a').map(linkOf)]),
    rows: all(root, '.ivy-row').map((one) => [
      one.dataset.post,
      all(one, 'td').map((cell) => [words(cell), cell.dataset.label, 'number' in cell.dataset]),
      all(one, 'a').map(linkOf),
    ]),
    empty: all(root, '.ivy-empty p, .ivy-way').map(words),
    shown: all(root, '.ivy-shown').map(words),
    pages: all(root, '.ivy-pager a, .ivy-gap').map((one) => [
      words(one),
      one.getAttribute('aria-label'),
      one.getAttribute('aria-current'),
      linkOf(one),
    ]),
  };
}

/** The links of what is a button with scripts and a link without. */
const waysOn = (plain: HTMLElement) => all(plain, '.ivy-chip, .ivy-clear, .ivy-way, .ivy-presets a').map(linkOf);

describe.each(Object.keys(states))('%s', (kind) => {
  const { facets, addresses } = states[kind]!;
  const cases = facets.flatMap((facet) =>
    // two are enough to tell whether words and figures are the language's in both
    ['en', 'ar'].flatMap((language) =>
      ['', ...addresses, `${addresses[0]!}&far=walk&fixed=talk`, `${addresses[0]!}&far=never&sort=old`, 'page=2'].map(
        (address): [string, object, string, string] => [
          `${JSON.stringify(facet)} ${language} ?${address}`,
          facet,
          language,
          address,
        ],
      ),
    ),
  );
  // thousands of terms are slow to read back, so they are drawn now and then
  const fewer = cases.filter(([name], i) => !name.includes('plot') || i % 8 === 1);
  test.each(fewer)('%s', (_name, facet, language, address) => {
    const { scripted, plain } = drawnBothWays(facet, kind, language, address);
    const seen = treeOf(scripted) as { facets: unknown[] };
    const read = treeOf(plain) as { facets: unknown[] };
    // marks are kept by scripts, so without them there is nothing to set them by
    if (kind === 'favourites') seen.facets.shift();
    expect(read).toEqual(seen);
    const ofOne = (root: HTMLElement) => {
      const own = root.querySelector<HTMLElement>('[data-facet=one]');
      return own ? optionsOf(own) : [];
    };
    const isFlip = scripted.querySelector('[data-facet=one] [role=switch]') !== null;
    if (isFlip && kind === 'switch') {
      const [[label, count, on]] = ofOne(scripted) as [unknown[]];
      expect(ofOne(plain)).toContainEqual([label, count, on, false]);
    } else if (kind !== 'favourites') expect(ofOne(plain)).toEqual(ofOne(scripted));
    // every way on is an address of this page that keeps what is not the lens's
    for (const href of waysOn(plain)) expect(href).toMatch(/^\?utm=x(&|$)/);
  });
});

describe.each(['pages', 'more', 'endless', 'all'])('paging %s', (mode) => {
  const paging = { mode, size: 4, sizes: [8, 20] };
  test.each(['', 'page=2', 'page=3&size=8', 'far=walk&page=9', 'size=20'])('?%s', (address) => {
    const facet = { field: 'kind' };
    const { scripted, plain } = drawnBothWays(facet, 'checkboxes', 'en', address, { paging });
    expect(treeOf(plain)).toEqual(treeOf(scripted));
    expect(all(scripted, '.ivy-card').length).toBeGreaterThan(0);
  });
});

describe.each(['grid', 'columns-reversed', 'rows', 'rows-reversed', 'list', 'table'])('cards as %s', (arrangement) => {
  test.each(['', 'sort=old', 'far=never', 'page=2'])('?%s', (address) => {
    const look = { arrangement };
    const { scripted, plain } = drawnBothWays({ field: 'kind' }, 'checkboxes', 'ar', address, { look });
    expect(treeOf(plain)).toEqual(treeOf(scripted));
    const drawn = all(scripted, arrangement === 'table' ? '.ivy-row' : '.ivy-card').length;
    expect(drawn > 0).toBe(address !== 'far=never');
  });
});
