import type { LookView } from '@ivy/client';
import { BesideServer } from '../../../test/beside-server.js';
import { holdFiles } from './given.js';
import { LookPage } from './look-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const look = (more: Partial<LookView> = {}): LookView => ({
  ...{ format: 'csv', label: 'CSV', options: { delimiter: ';', header: true, skip: 0, encoding: 'utf-8' }, lists: [] },
  ...{ records: 2, rejected: { count: 0, first: [] }, paging: null, found: [], feeds: [] },
  fields: [{ key: 'title', label: 'Title', type: 'text', role: 'title' }],
  rows: [['Walk'], ['Talk']],
  ...more,
});
const visit = (address = '') =>
  page.visit(<LookPage />, address === '' ? '/look' : `/look?address=${encodeURIComponent(address)}`, '/look');

test('a file is looked at before it is kept, and read otherwise by a press', async () => {
  holdFiles([new File(['title\nWalk'], 'walks_by day.csv')]);
  page.answer('POST /looks', look());
  await visit();
  expect(page.texts('h2, main p')[0]).toBe('2 postswith 1 field; these are the first 2');
  expect(page.texts('td')).toEqual(['Walk', 'Talk']);
  expect(page.element.querySelector<HTMLInputElement>('aside input')!.value).toBe('Walks by day');
  page.answer(
    'POST /looks',
    look({ records: 7, rejected: { count: 1, first: [{ record: 0, line: 4, reason: 'Odd.' }] } }),
  );
  page.type('cells', '|');
  await page.settle();
  expect(page.texts('main p')[0]).toContain('7 posts');
  expect(page.texts('details')[0]).toContain('Line 4: Odd.');
});

test('what can’t be read is said, with what was seen before still there', async () => {
  holdFiles([new File(['x'], 'x.csv')]);
  page.answer('POST /looks', look());
  await visit();
  page.answer('POST /looks', { code: 'no-posts', detail: 'The JSON holds no list of posts.' }, 422);
  page.type('format', 'json');
  await page.settle();
  expect(page.texts('[role=alert]')[0]).toContain('The JSON holds no list of posts.');
  expect(page.texts('td')).toEqual(['Walk', 'Talk']);
  expect(page.element.querySelector<HTMLButtonElement>('button[type=submit]')!.disabled).toBe(true);
});

test('an address tells how its posts go on, and what was found by trying', async () => {
  page.answer(
    'POST /looks',
    look({ format: 'json', options: { path: '/items' }, paging: 'all in one answer', found: ['By trying.'] }),
  );
  await visit('https://a.example/api');
  expect(page.texts('aside')[0]).toContain('It comes all in one answer.');
  expect(page.texts('aside')[0]).toContain('By trying.');
  expect(page.texts('button[type=submit]')).toEqual(['Keep it fresh']);
});

test('of a list of feeds those that are ticked are kept', async () => {
  const feeds = [
    { address: 'https://a.example/f', name: 'A', under: ['Birds'] },
    { address: 'https://b.example/f', name: 'B', under: [] },
  ];
  page.answer('POST /looks', look({ format: 'rss', records: 0, rows: [], fields: [], feeds }));
  await visit('https://a.example/list.opml');
  expect(page.texts('main li')).toEqual(['ABirdshttps://a.example/f', 'Bhttps://b.example/f']);
  for (const name of page.texts('main label')) page.press(name);
  expect(page.element.querySelector<HTMLButtonElement>('button[type=submit]')!.disabled).toBe(true);
});

test('without anything given, one is led back', async () => {
  holdFiles([]);
  await visit();
  expect(page.texts('p')[0]).toContain('Choose it again');
});
