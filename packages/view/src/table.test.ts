import { englishTexts, makeLook, makePart, placedAt, type Settings } from '@ivy/core';
import { cardViews } from './cards.js';
import type { Shown } from './shown.js';
import { cellOf, headViews } from './table.js';

const card = [
  makePart({ show: 'picture', field: 'image' }),
  makePart({ show: 'title', field: 'title' }),
  makePart({ show: 'date', field: 'day' }),
  makePart({ show: 'number', field: 'minutes' }),
];
const heads: Settings['heads'] = [
  { at: 0, label: 'Picture', asc: null, desc: null },
  { at: 1, label: 'Title', asc: 'name', desc: null },
  { at: 2, label: 'Day', asc: 'oldest', desc: 'newest' },
  { at: 3, label: 'Minutes', asc: null, desc: 'longest' },
];

function shownBy(sort: string | null): Shown {
  return {
    settings: {
      sort: ['newest', 'oldest', 'name', 'longest'].map((key) => ({ key, label: key })),
      card,
      heads,
      defaultSort: 'newest',
      cardLink: { link: 'card', newTab: false },
      facets: [],
      texts: englishTexts,
      language: 'en-GB',
      zone: 'UTC',
    },
    placed: placedAt(makeLook({ arrangement: 'table' }), 'desktop'),
    choices: { facets: {}, sort, page: 3 },
    answer: {
      sort: sort ?? 'newest',
      items: [{ id: 'a', title: 'Terns', link: '/a', fields: { title: 'Terns', day: '2026-05-06', minutes: 4 } }],
    },
    now: 0,
    marks: null,
    resolve: (link: string) => link,
    hrefOf: (choices: { sort: string | null; page: number }) => `?sort=${choices.sort ?? ''}&page=${choices.page}`,
  } as unknown as Shown;
}
const ordersOf = (sort: string | null) =>
  headViews(shownBy(sort)).map((head) => head.sort && [head.sort.order, head.sort.link.href]);

test('a head leads to its order, or to the opposite of the one there is; the first page is shown then', () => {
  expect(ordersOf(null)).toEqual([
    null,
    [null, '?sort=name&page=1'],
    ['descending', '?sort=oldest&page=1'],
    [null, '?sort=longest&page=1'],
  ]);
  // from elsewhere it leads to the one that the lens lists first
  expect(ordersOf('name')[2]).toEqual([null, '?sort=&page=1']);
  expect(ordersOf('oldest')[2]).toEqual(['ascending', '?sort=&page=1']);
  // with no opposite there is nowhere else to go
  expect(ordersOf('longest')[3]).toEqual(['descending', '?sort=longest&page=1']);
});

test('each part has a cell of its own, and numbers are told from words', () => {
  const shown = shownBy(null);
  const [view] = cardViews(shown);
  expect([0, 1, 2, 3].map((at) => cellOf(view!, at))).toMatchObject([
    null,
    { row: { form: 'title' } },
    { row: { facts: [{ text: '6 May 2026' }] } },
    { row: { facts: [{ text: '4' }] } },
  ]);
  expect(headViews(shown).map(({ isNumber }) => isNumber)).toEqual([false, false, false, true]);
});
