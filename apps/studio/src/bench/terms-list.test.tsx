import type { TermFacet } from '@ivy/core';
import { lensOf } from '../../test/lens-of.js';
import { OnPage } from '../../test/on-page.js';
import type { TermView } from '@ivy/client';
import { TermsList } from './terms-list.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

const term = (slug: string, parent: string | null, count: number): TermView => ({
  slug,
  label: slug.toUpperCase(),
  parent,
  count,
  own: count,
  hidden: false,
  picture: null,
  colour: null,
  aliases: [],
  was: [],
});
const terms = [term('shore', null, 40), term('mud', 'shore', 10), term('inland', null, 20)];

/** Draws the list, and gives what was asked of it. */
function drawn(config: object, more: { terms?: TermView[] | undefined; error?: Error; chosen?: string[] } = {}) {
  const asked: unknown[][] = [];
  const ask =
    (what: string) =>
    (...of: unknown[]) =>
      asked.push([what, ...of]);
  page.draw(
    <TermsList
      facet={lensOf({ facets: [{ key: 'place', kind: 'tree', field: 'place', ...config }] }).facets[0] as TermFacet}
      terms={'terms' in more ? more.terms : terms}
      error={more.error}
      chosen={more.chosen ?? []}
      onEye={ask('eye')}
      onLabel={ask('label')}
      onPlace={ask('place')}
      onMove={ask('move')}
    />,
  );
  return asked;
}

const bars = () =>
  [...page.element.querySelectorAll<HTMLElement>('li > span[aria-hidden]')].map((bar) =>
    Math.round(parseFloat(bar.style.width)),
  );

test('terms stand with their posts, as bars and as figures', () => {
  drawn({});
  expect(page.texts('li')).toEqual(['SHORE40', 'MUD10', 'INLAND20']);
  expect(bars()).toEqual([84, 21, 42]);
});

test('while they are counted, where there are none, and where they can’t be had, it says so', () => {
  drawn({}, { terms: undefined });
  expect(page.element.textContent).toBe('Counting the terms…');
  drawn({}, { terms: [] });
  expect(page.element.textContent).toBe('No post has a value here.');
  drawn({}, { terms: undefined, error: new Error('The server does not answer.') });
  expect(page.element.textContent).toBe('The server does not answer.');
});

test('a long list is cut until one asks for all', () => {
  drawn({}, { terms: Array.from({ length: 75 }, (_, i) => term(`t${i}`, null, i)) });
  expect(page.texts('li')).toHaveLength(60);
  page.press('Show all 75');
  expect(page.texts('li')).toHaveLength(75);
});

test('what is hidden, or not among those listed only, is struck out, and its eye shows it again', () => {
  const struck = () => page.texts('.line-through');
  const asked = drawn({ hide: ['mud'] });
  expect(struck()).toEqual(['MUD']);
  page.press('Show MUD');
  page.press('Hide SHORE');
  expect(asked).toEqual([
    ['eye', 'mud'],
    ['eye', 'shore'],
  ]);
  drawn({ only: ['mud'] });
  expect(struck()).toEqual(['SHORE', 'INLAND']);
});

test('Alt and an arrow move a term; an arrow alone does not', () => {
  const asked = drawn({});
  page.key('Label of MUD', 'ArrowDown', { altKey: true });
  page.key('Label of MUD', 'ArrowUp', { altKey: true });
  page.key('Label of MUD', 'ArrowUp');
  expect(asked).toEqual([
    ['move', 'mud', 1],
    ['move', 'mud', -1],
  ]);
});

test('a label is typed over, kept by Enter, let go by Escape, and given back when it is the source’s again', () => {
  const asked = drawn({ labels: { mud: 'Wide mud' } });
  page.press('Label of Wide mud');
  page.type('Own label of MUD', 'Soft mud');
  page.key('Own label of MUD', 'Enter');
  page.press('Label of Wide mud');
  page.type('Own label of MUD', 'never mind');
  page.key('Own label of MUD', 'Escape');
  page.press('Label of Wide mud');
  page.type('Own label of MUD', 'MUD');
  page.key('Own label of MUD', 'Enter');
  expect(asked).toEqual([
    ['label', 'mud', 'Soft mud'],
    ['label', 'mud', ''],
  ]);
});

test('what the address chooses stands out', () => {
  drawn({}, { chosen: ['inland'] });
  expect(page.texts('.font-semibold')).toEqual(['INLAND']);
});

test('of very many terms some are listed, and any other is found by typing', () => {
  drawn({}, { terms: Array.from({ length: 5000 }, (_, i) => term(`t${i}`, null, i)) });
  page.press('Show 500 of 5,000');
  expect(page.texts('li')).toHaveLength(500);
  expect(page.texts('p')).toEqual(['and 4,500 more: find them by typing above']);
  page.type('Find a term', 't4999');
  expect(page.texts('li')).toHaveLength(1);
  page.type('Find a term', 'zzz');
  expect(page.texts('p')).toEqual(['No term is called that.']);
});
