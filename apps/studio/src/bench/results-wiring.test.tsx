import type { Lens } from '@ivy/core';
import { lensOf } from '../../test/lens-of.js';
import { OnPage } from '../../test/on-page.js';
import { ResultsWiring } from './results-wiring.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

const sorted = {
  options: [
    { key: 'newest', label: 'Newest', field: 'day', order: 'desc' },
    { key: 'title', label: 'By title', field: 'title' },
  ],
};

/** Draws the settings of a lens, and keeps what they ask for. */
function drawn(config: object = {}): { lenses: Lens[]; topics: (string | undefined)[] } {
  const asked: { lenses: Lens[]; topics: (string | undefined)[] } = { lenses: [], topics: [] };
  const lens = lensOf({ facets: [], ...config });
  const edit = (next: Lens, topic?: string) => {
    asked.lenses.push(next);
    asked.topics.push(topic);
  };
  page.draw(<ResultsWiring lens={lens} onEdit={edit} />);
  return asked;
}

test('cards, facets and when a choice counts are picked, and what is in use is pressed', () => {
  const { lenses } = drawn();
  expect(page.named('at the side').getAttribute('aria-pressed')).toBe('true');
  for (const way of ['4', 'above', 'on a button']) page.press(way);
  expect(lenses.map((lens) => [lens.look.columns, lens.look.facets, lens.address.apply])).toEqual([
    [4, 'side', 'change'],
    [3, 'top', 'change'],
    [3, 'side', 'button'],
  ]);
});

test('a page has 1 to 200 posts; what is not a number of them goes back to what it was', () => {
  const { lenses } = drawn({ paging: { size: 24 } });
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

test('the first order is one of the lens’s; without any it is said to be newest first', () => {
  const { lenses } = drawn({ sort: sorted });
  expect(page.named<HTMLSelectElement>('First order').value).toBe('newest');
  page.type('First order', 'title');
  expect(lenses.map((lens) => lens.sort.default)).toEqual(['title']);
  drawn({ sort: { options: [] } });
  expect(page.element.textContent).toContain('newest first');
});

test('visitors read one of the languages there are words for, each called by its own name', () => {
  const { lenses } = drawn({ language: 'de' });
  expect(page.named<HTMLSelectElement>('Visitors read').value).toBe('de');
  expect(page.texts('#language option')).toEqual(expect.arrayContaining(['Deutsch', 'English', '日本語']));
  page.type('Visitors read', 'ar');
  expect(lenses.map((lens) => lens.language)).toEqual(['ar']);
});

test('own words take the place of the language’s, and what is typed in a box is one step', () => {
  const { lenses, topics } = drawn({ texts: { posts: '{n} note|{n} notes' } });
  expect(page.named<HTMLInputElement>('Posts are called').value).toBe('{n} note|{n} notes');
  expect(page.named<HTMLInputElement>('When nothing matches').placeholder).not.toBe('');
  page.type('When nothing matches', 'No notes');
  expect(lenses[0]!.texts).toEqual({ posts: '{n} note|{n} notes', emptyTitle: 'No notes' });
  expect(topics).toEqual(['text emptyTitle']);
});
