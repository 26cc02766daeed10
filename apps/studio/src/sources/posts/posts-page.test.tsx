import type { PostList, SourceView } from '@ivy/client';
import { act } from 'react';
import { BesideServer } from '../../../test/beside-server.js';
import { PostsPage } from './posts-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const field = (key: string, more: object = {}) => ({
  ...{ key, label: key[0]!.toUpperCase() + key.slice(1), type: 'text', role: null, multiple: false, tree: false },
  ...{ separator: null, pathSeparator: null, filled: 3, distinct: 3, samples: [], spread: null },
  ...more,
});
const source = {
  ...{ slug: 'notes', name: 'Field notes', posts: 3, fileName: 'notes.csv', findings: [], rejected: [] },
  fields: [field('title', { role: 'title' }), field('kind', { type: 'terms' }), field('seen', { type: 'date' })],
} as unknown as SourceView;
const post = (id: string, words: Record<string, string>, raw: object = words) =>
  ({ id, title: words.title ?? id, values: {}, words, raw }) as PostList['items'][number];
const items = [
  post('a', { title: 'Walk', kind: 'Survey' }, { title: 'Walk', kind: 'survey', seen: 'late' }),
  post('b', { title: 'Talk' }),
];
const listed = (all: PostList['items']) => ({ total: all.length, page: 1, pages: 1, items: all });
const at = (query: string) => `GET /sources/notes/posts?${query}size=100&page=1`;

async function drawn() {
  page.answer('GET /sources/notes', source);
  page.answer('GET /sources/notes/terms/kind', [{ slug: 'survey', label: 'Survey', count: 2, parent: null }]);
  page.answer('GET /lenses', [{ slug: 'all', name: 'All notes', source: 'notes' }]);
  page.answer('GET /lenses/all/draft/why/a', { passes: false, facets: [] });
  page.answer(at(''), listed(items));
  await page.visit(<PostsPage />, '/sources/notes/posts', '/sources/:slug/posts');
}

test('posts stand in rows, with the columns one chooses', async () => {
  await drawn();
  expect(page.texts('[role=row]')).toEqual(['no.TitleKindSeen', '1WalkSurvey', '2Talk']);
  await page.pressAndSettle('Columns');
  await page.pressAndSettle('Kind');
  expect(page.texts('[role=row]')[1]).toBe('1Walk');
});

test('a head orders by its field, first one way and then the other', async () => {
  await drawn();
  page.answer(at('sort=seen&order=asc&'), listed([...items].reverse()));
  await page.pressAndSettle('Seen');
  expect(page.texts('[role=row]').slice(1)).toEqual(['1Talk', '2WalkSurvey']);
  expect(page.element.querySelector('[aria-sort=ascending]')?.textContent).toBe('Seen');
  page.answer(at('sort=seen&order=desc&'), listed(items));
  await page.pressAndSettle('Seen');
  expect(page.texts('[role=row]')[1]).toBe('1WalkSurvey');
});

test('words and terms narrow them, and where nothing is left all are a press away', async () => {
  await drawn();
  page.answer(at('q=zebra&'), listed([]));
  page.type('Find posts by words or id', 'zebra');
  await page.settle();
  expect(page.words).toContain('No post has all of that.');
  await page.pressAndSettle('Show all');
  expect(page.texts('[role=row]')).toHaveLength(3);
});

test('one post in full says what came, what is read, and which lenses have it', async () => {
  await drawn();
  page.answer('GET /sources/notes/posts?ids=a', listed([items[0]!]));
  const row = page.element.querySelector<HTMLElement>('[data-place="0"]')!;
  act(() => row.click());
  await page.settle();
  expect(page.texts('aside tbody tr')).toEqual(['titleWalkWalk', 'kindsurveySurvey', 'seenlatenot read']);
  expect(page.words).toContain('All notesleaves it out');
  await page.pressAndSettle('Close the post');
  expect(page.element.querySelector('aside')).toBeNull();
});

test('a server that can’t list them is quoted', async () => {
  await drawn();
  page.answer(at('sort=kind&order=asc&'), { code: 'x', detail: 'The index is being made.' }, 503);
  await page.pressAndSettle('Kind');
  expect(page.texts('[role=alert]')).toEqual(['The index is being made.']);
});
