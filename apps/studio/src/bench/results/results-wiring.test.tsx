import type { Lens } from '@ivy/core';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { OnPage } from '../../../test/on-page.js';
import { ResultsWiring, type ResultsTab } from './results-wiring.js';

const fields = [fieldOf('day', 'date'), fieldOf('title', 'text'), fieldOf('kind', 'terms')];

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

const sorted = {
  options: [
    { key: 'newest', label: 'Newest', field: 'day', order: 'desc' },
    { key: 'title', label: 'By title', field: 'title' },
  ],
};

/** The tabs that were asked for, in turn. */
let tabs: ResultsTab[] = [];
/** The languages that were asked to be read, in turn. */
let read: string[] = [];

/** Draws the settings of a lens, and keeps what they ask for. */
function drawn(
  config: object = {},
  tab: ResultsTab = 'layout',
  reads = 'en',
): { lenses: Lens[]; topics: (string | undefined)[] } {
  const asked: { lenses: Lens[]; topics: (string | undefined)[] } = { lenses: [], topics: [] };
  const lens = lensOf({ facets: [], ...config });
  read = [];
  tabs = [];
  const edit = (next: Lens, topic?: string) => {
    asked.lenses.push(next);
    asked.topics.push(topic);
  };
  page.draw(
    <ResultsWiring
      lens={lens}
      slug="mine"
      source="notes"
      fields={fields}
      posts={480}
      dryRun={null}
      reads={reads}
      tab={tab}
      onTab={(next) => tabs.push(next)}
      part={null}
      onPart={() => {}}
      span="desktop"
      onSpan={() => {}}
      onReads={(language) => read.push(language)}
      onEdit={edit}
    />,
  );
  return asked;
}

test('cards, facets and when a choice counts are picked, and what is in use is pressed', () => {
  const { lenses } = drawn();
  expect(page.named('Beside').getAttribute('aria-pressed')).toBe('true');
  for (const way of ['4', 'Above, in a row', 'on a button']) page.press(way);
  expect(lenses.map((lens) => [lens.look.columns, lens.look.facets, lens.address.apply])).toEqual([
    [4, 'side', 'change'],
    [3, 'top', 'change'],
    [3, 'side', 'button'],
  ]);
});

test('a page has 1 to 200 posts; what is not a number of them goes back to what it was', () => {
  const { lenses } = drawn({ paging: { size: 24 } }, 'pages');
  const box = () => page.named<HTMLInputElement>('Posts a page');
  for (const wrong of ['0', '201', '2.5', '']) {
    page.type('Posts a page', wrong);
    page.leave('Posts a page');
    expect(box().value).toBe('24');
  }
  page.type('Posts a page', '200');
  expect(lenses).toEqual([]);
  page.key('Posts a page', 'Enter');
  expect(lenses.map((lens) => lens.paging.size)).toEqual([200]);
});

test('an order is in use at first, has further keys, and is moved and deleted', () => {
  const { lenses } = drawn({ sort: sorted }, 'order');
  expect(page.named<HTMLInputElement>('Newest first').checked).toBe(true);
  page.press('By title first');
  expect(lenses.at(-1)!.sort.default).toBe('title');
  page.press('Where alike, by another: Newest');
  expect(lenses.at(-1)!.sort.options[0]!.then).toEqual([{ field: 'title', order: 'asc' }]);
  page.press('Descending: key 1 of Newest');
  expect(lenses.at(-1)!.sort.options[0]!.order).toBe('asc');
  page.press('Move Newest down');
  expect(lenses.at(-1)!.sort.options.map(({ key }) => key)).toEqual(['title', 'newest']);
  page.press('Delete the order By title');
  expect(lenses.at(-1)!.sort.options.map(({ key }) => key)).toEqual(['newest']);
});

test('an order is added by a field, by the search, or by chance', () => {
  const { lenses } = drawn({ sort: { options: [] } }, 'order');
  expect(page.element.textContent).toContain('newest first');
  for (const by of ['day', '~relevance', '~shuffle']) page.type('Add an order', by);
  expect(lenses.map((lens) => lens.sort.options.map(({ by, field, order }) => [by, field, order]))).toEqual([
    [['field', 'day', 'desc']],
    [['relevance', '', 'asc']],
    [['shuffle', '', 'asc']],
  ]);
});

test('pages go on in one of four ways, and visitors choose among sizes', () => {
  const { lenses } = drawn({}, 'pages');
  for (const way of ['On asking', 'Endless', 'All at once']) page.press(way);
  expect(lenses.map((lens) => lens.paging.mode)).toEqual(['more', 'endless', 'all']);
  page.type('Visitors may choose', '48, 24 24');
  page.leave('Visitors may choose');
  expect(lenses.at(-1)!.paging.sizes).toEqual([24, 48]);
  expect(page.named<HTMLInputElement>('Visitors may choose').value).toBe('24, 48');
  page.type('Visitors may choose', 'many');
  page.leave('Visitors may choose');
  expect(page.named<HTMLInputElement>('Visitors may choose').value).toBe('');
  drawn({ paging: { mode: 'all' } }, 'pages');
  expect(() => page.named('Posts a page')).toThrow();
});

test('visitors read one of the languages there are words for, each called by its own name', () => {
  const { lenses } = drawn({ language: 'de' }, 'words');
  expect(page.named<HTMLSelectElement>('Language of the lens').value).toBe('de');
  expect(page.texts('option')).toEqual(expect.arrayContaining(['Deutsch', 'English', '日本語']));
  page.type('Language of the lens', 'ar');
  expect([lenses.map((lens) => lens.language), read]).toEqual([['ar'], ['ar']]);
});

test('own words take the place of the language’s, and what is typed in a box is one step', () => {
  const { lenses, topics } = drawn({ texts: { posts: '{n} note|{n} notes' } }, 'words');
  expect(page.named<HTMLInputElement>('In place of “{n} post|{n} posts”').value).toBe('{n} note|{n} notes');
  expect(page.named<HTMLInputElement>('In place of “Nothing matches all of this”').placeholder).not.toBe('');
  page.type('In place of “Nothing matches all of this”', 'No notes');
  expect(lenses[0]!.texts).toEqual({ posts: '{n} note|{n} notes', emptyTitle: 'No notes' });
  expect(topics).toEqual(['text en emptyTitle']);
});

test('a further language is added by its tag, read on the live page, and deleted', () => {
  const { lenses } = drawn({}, 'words');
  page.press('Language');
  page.type('Tag of the language', 'nothing at all');
  expect(page.named<HTMLButtonElement>('Add').disabled).toBe(true);
  page.type('Tag of the language', 'nl-be');
  page.press('Add');
  expect([lenses.at(-1)!.languages, read]).toEqual([{ 'nl-BE': { texts: {}, labels: {} } }, ['nl-BE']]);
  const { lenses: after } = drawn({ languages: { de: {} } }, 'words', 'de');
  expect(page.named('Deutsch').getAttribute('aria-pressed')).toBe('true');
  page.press('Delete Deutsch');
  expect([after.at(-1)!.languages, read]).toEqual([{}, ['en']]);
});

test('in a further language what the lens says itself stands beside what is built in', () => {
  const { lenses, topics } = drawn({ sort: sorted, languages: { de: {} } }, 'words', 'de');
  page.type('In place of “By title”', 'Nach Titel');
  page.type('In place of “Suche”', 'Finden');
  expect(lenses.map(({ languages }) => languages.de)).toEqual([
    { texts: {}, labels: { 'sort/title/label': 'Nach Titel' } },
    { texts: { search: 'Finden' }, labels: {} },
  ]);
  expect(topics).toEqual(['label de sort/title/label', 'text de search']);
});

test('tabs are walked by arrows, round and round', () => {
  drawn({}, 'card');
  page.press('Order');
  page.key('Card', 'ArrowLeft');
  page.key('Card', 'ArrowRight');
  expect(tabs).toEqual(['order', 'words', 'layout']);
});
