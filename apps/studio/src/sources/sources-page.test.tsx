import { act } from 'react';
import { BesideServer } from '../../test/beside-server.js';
import type { LensSummary, SourceSummary } from '@ivy/client';
import { SourcesPage } from './sources-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const sources = (all: Partial<SourceSummary>[]) => page.answer('GET /sources', all);
const lenses = (all: Partial<LensSummary>[]) => page.answer('GET /lenses', all);
const drawn = () => page.visit(<SourcesPage />, '/sources');

const notes = {
  slug: 'notes',
  name: 'Field notes',
  posts: 12_480,
  fieldCount: 9,
  findingCount: 2,
  fileName: 'notes.csv',
  updatedAt: '2026-05-18T12:00:00Z',
};

/** Lets a file fall where files go. */
async function drop(name: string) {
  const zone = page.element.querySelector('.squared')!;
  const fall = new Event('drop', { bubbles: true, cancelable: true });
  const dataTransfer = { files: [new File(['id'], name)] };
  act(() => {
    zone.dispatchEvent(Object.assign(fall, { dataTransfer }));
  });
  await page.settle();
}

test('sources stand with what they hold and the lenses on them', async () => {
  sources([notes, { ...notes, slug: 'walks', name: 'Walks', findingCount: 0 }]);
  lenses([
    { slug: 'a', name: 'All notes', source: 'notes', release: 3, changed: true },
    { slug: 'b', name: 'Birds', source: 'notes', release: null, changed: false },
  ]);
  await drawn();
  expect(page.words).toContain('2 sources');
  expect(page.words).toContain('2 lenses on them');
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
  expect(page.words).toContain('The first file you drop becomes one.');
});

test('a server that does not answer is reported, and asked again', async () => {
  await drawn();
  expect(page.texts('[role=alert]')[0]).toContain('The server does not answer');
  sources([notes]);
  lenses([]);
  await page.pressAndSettle('Try again');
  expect(page.texts('[role=alert]')).toEqual([]);
  expect(page.words).toContain('1 source');
});

const job = { id: 'j1', state: 'running', waits: 0, done: 0, total: 0, rate: 0 };
/** The job as it is when it is asked for next. */
const report = (change: object) => page.answer('GET /jobs/j1', { ...job, ...change });
/** The job is asked for again after a while. */
const later = () => act(() => new Promise((done) => setTimeout(done, 350)));

test('a file that can’t be read is said to have changed nothing; one that can leads to its source', async () => {
  sources([]);
  lenses([]);
  await drawn();
  page.answer('POST /sources', job, 202);
  report({ state: 'failed', problem: { status: 422, code: 'broken-file', detail: 'Line 3 has no end.' } });
  await drop('torn.csv');
  expect(page.texts('[role=alert]')).toEqual(['torn.csv: Line 3 has no end. Nothing was changed.']);
  page.answer('POST /sources', { code: 'too-many-uploads', detail: 'Too many files are coming in.' }, 503);
  await drop('late.csv');
  expect(page.texts('[role=alert]')).toEqual(['late.csv: Too many files are coming in. Nothing was changed.']);
  page.answer('POST /sources', job, 202);
  report({ state: 'done', result: { slug: 'notes' } });
  await drop('notes.csv');
  expect(page.place).toBe('/sources/notes');
});

test('a file is told its place in line and how far it is read', async () => {
  sources([]);
  lenses([]);
  await drawn();
  page.answer('POST /sources', job, 202);
  report({ waits: 2 });
  await drop('large.json');
  expect(page.words).toContain('large.json waits behind 2 others…');
  report({ waits: 1 });
  await later();
  expect(page.words).toContain('large.json is next in line…');
  report({ done: 120_000, total: 480_000, rate: 40_000 });
  await later();
  expect(page.words).toContain('Reading large.json…');
  expect(page.words).toContain('120,000 of 480,000 posts, 40,000 a second');
  expect(page.element.querySelector('[role=progressbar]')!.getAttribute('aria-valuenow')).toBe('25');
});

test('a file on its way is cancelled, and another can be dropped', async () => {
  sources([]);
  lenses([]);
  await drawn();
  page.says.set(
    'POST /sources',
    (init) =>
      new Promise((_, fail) => {
        init!.signal!.addEventListener('abort', () => fail(new DOMException('stopped', 'AbortError')));
      }),
  );
  await drop('large.json');
  expect(page.words).toContain('Sending large.json…');
  await page.pressAndSettle('Cancel');
  expect(page.words).toContain('Drop a file of posts here');
  expect(page.texts('[role=alert]')).toEqual([]);
});

test('a file that is being read is cancelled where it is read', async () => {
  sources([]);
  lenses([]);
  await drawn();
  page.answer('POST /sources', job, 202);
  report({ done: 10, total: 100 });
  page.answer('DELETE /jobs/j1', undefined, 204);
  await drop('large.json');
  await page.pressAndSettle('Cancel');
  expect(page.sent.map(([what]) => what)).toContain('DELETE /jobs/j1');
  expect(page.words).toContain('Drop a file of posts here');
});
