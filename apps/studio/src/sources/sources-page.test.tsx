import { act } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import { SWRConfig } from 'swr';
import { OnPage } from '../../test/on-page.js';
import { fetcher } from '../api/api.js';
import type { LensSummary, SourceSummary } from '../api/types.js';
import { SourcesPage } from './sources-page.js';

const page = new OnPage();
/** What the server says to a way and path; what it is not told of does not answer at all. */
let says: Map<string, (init: RequestInit | undefined) => Promise<Response>>;

beforeEach(() => {
  page.open();
  says = new Map();
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    const answer = says.get(`${init?.method ?? 'GET'} ${path}`);
    return answer ? answer(init) : Promise.reject(new TypeError('nobody there'));
  }) as typeof fetch;
});
afterEach(() => page.close());

const answer = (status: number, body: unknown) => () =>
  Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
const sources = (all: Partial<SourceSummary>[]) => says.set('GET /api/v1/sources', answer(200, all));
const lenses = (all: Partial<LensSummary>[]) => says.set('GET /api/v1/lenses', answer(200, all));
const settle = () => act(() => new Promise((done) => setTimeout(done, 20)));

const notes = {
  slug: 'notes',
  name: 'Field notes',
  posts: 12_480,
  fieldCount: 9,
  findingCount: 2,
  fileName: 'notes.csv',
  updatedAt: '2026-05-18T12:00:00Z',
};

function Where() {
  return <output>{useLocation().pathname}</output>;
}

async function drawn() {
  page.draw(
    <SWRConfig value={{ fetcher, provider: () => new Map(), shouldRetryOnError: false, dedupingInterval: 0 }}>
      <MemoryRouter initialEntries={['/sources']}>
        <SourcesPage />
        <Where />
      </MemoryRouter>
    </SWRConfig>,
  );
  await settle();
}

/** Lets a file fall where files go. */
async function drop(name: string) {
  const zone = page.element.querySelector('.squared')!;
  const fall = new Event('drop', { bubbles: true, cancelable: true });
  const dataTransfer = { files: [new File(['id'], name)] };
  act(() => {
    zone.dispatchEvent(Object.assign(fall, { dataTransfer }));
  });
  await settle();
}

test('sources stand with what they hold and the lenses on them', async () => {
  sources([notes, { ...notes, slug: 'walks', name: 'Walks', findingCount: 0 }]);
  lenses([
    { slug: 'a', name: 'All notes', source: 'notes', release: 3, changed: true },
    { slug: 'b', name: 'Birds', source: 'notes', release: null, changed: false },
  ]);
  await drawn();
  const text = page.element.textContent;
  expect(text).toContain('2 sources');
  expect(text).toContain('2 lenses on them');
  expect(page.texts('main > ul > li').map((row) => row.includes('2 findings'))).toEqual([true, false]);
  expect(page.texts('main > ul > li > div:last-child')).toEqual([
    'All notesrelease 3, draft differsBirdsnot released',
    'No lens on it yet. Start one',
  ]);
});

test('without a source it says how one comes to be', async () => {
  sources([]);
  lenses([]);
  await drawn();
  expect(page.element.textContent).toContain('The first file you drop becomes one.');
});

test('a server that does not answer is told of, and asked again', async () => {
  await drawn();
  expect(page.texts('[role=alert]')[0]).toContain('The server does not answer');
  sources([notes]);
  lenses([]);
  page.press('Try again');
  await settle();
  expect(page.texts('[role=alert]')).toEqual([]);
  expect(page.element.textContent).toContain('1 source');
});

test('a file that can’t be read is said to have changed nothing; one that can leads to its source', async () => {
  sources([]);
  lenses([]);
  await drawn();
  says.set('POST /api/v1/sources', answer(422, { code: 'unreadable', detail: 'Line 3 has no end.' }));
  await drop('torn.csv');
  expect(page.texts('[role=alert]')).toEqual(['torn.csv: Line 3 has no end. Nothing was changed.']);
  says.set('POST /api/v1/sources', answer(201, { slug: 'notes' }));
  await drop('notes.csv');
  expect(page.texts('output')).toEqual(['/sources/notes']);
});

test('a file on its way is cancelled, and another can be dropped', async () => {
  sources([]);
  lenses([]);
  await drawn();
  says.set(
    'POST /api/v1/sources',
    (init) =>
      new Promise((_, fail) => {
        init!.signal!.addEventListener('abort', () => fail(new DOMException('stopped', 'AbortError')));
      }),
  );
  await drop('large.json');
  expect(page.element.textContent).toContain('Reading large.json…');
  page.press('Cancel');
  await settle();
  expect(page.element.textContent).toContain('Drop a file of posts here');
  expect(page.texts('[role=alert]')).toEqual([]);
});
