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
  fields: [],
  fileName: 'notes.csv',
  updatedAt: '2026-05-18T12:00:00Z',
};

/** Lets a file fall where files go. */
async function drop(...names: string[]) {
  const zone = page.element.querySelector('.squared')!;
  const fall = new Event('drop', { bubbles: true, cancelable: true });
  const dataTransfer = { files: names.map((name) => new File(['id'], name)) };
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
    'All notesrelease 3, draft differsRename All notesDuplicate All notesDelete All notesBirdsnot releasedRename BirdsDuplicate BirdsDelete Birds',
    'No lens on it yet. Start one',
  ]);
});

test('without a source it says how one comes to be', async () => {
  sources([]);
  lenses([]);
  await drawn();
  expect(page.words).toContain('The first file you drop becomes one');
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
  expect(page.texts('[role=alert]')).toEqual(['torn.csv: Line 3 has no end. Nothing was changed. Read it otherwise']);
  page.answer('POST /sources', { code: 'too-many-uploads', detail: 'Too many files are coming in.' }, 503);
  await drop('late.csv');
  expect(page.texts('[role=alert]')).toEqual([
    'late.csv: Too many files are coming in. Nothing was changed. Read it otherwise',
  ]);
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
  expect(page.words).toContain('120,000 of 480,000 posts, 40,000 a second, about 9 s left');
  expect(page.element.querySelector('[role=progressbar]')!.getAttribute('aria-valuenow')).toBe('25');
});

test.each([[['one.csv', 'two.csv']], [['posts.zip']]])('%j is looked at before it is kept', async (names) => {
  await drawn();
  await drop(...names);
  expect(page.place).toBe('/look');
  expect(page.sent).toEqual([]);
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

describe('what can be done with a source as a whole', () => {
  beforeEach(() => {
    sources([notes]);
    lenses([{ slug: 'a', name: 'All notes', source: 'notes', release: 3, changed: false }]);
    page.answer('GET /deleted', []);
  });

  test('it is called otherwise', async () => {
    await drawn();
    page.press('Rename Field notes');
    page.type('New name of Field notes', 'Notes of the estuary');
    page.answer('PATCH /sources/notes', {});
    await page.pressAndSettle('Rename');
    expect(page.sent).toEqual([['PATCH /sources/notes', { name: 'Notes of the estuary' }]]);
  });

  test('what goes with it is said before it is deleted, and what is harmless has the focus', async () => {
    await drawn();
    page.press('Delete Field notes');
    expect(page.texts('[role=status]')[0]).toBe(
      '“Field notes” goes with 12,480 posts, and “All notes” with it. Visitors see nothing there then. It lies a day in the bottom drawer.',
    );
    expect(document.activeElement?.textContent).toBe('Leave it');
    page.says.set('DELETE /sources/notes?lenses=1', () => Promise.resolve({ ok: true, status: 204 } as Response));
    await page.pressAndSettle('Delete');
    expect(page.sent.at(-1)![0]).toBe('DELETE /sources/notes?lenses=1');
  });

  test('it is copied, and a refusal is quoted', async () => {
    await drawn();
    page.answer('POST /sources/notes/copies', { code: 'x', detail: 'There is no room.' }, 507);
    await page.pressAndSettle('Duplicate Field notes');
    expect(page.texts('[role=alert]')).toEqual(['There is no room.']);
  });

  test('what was deleted comes back from the bottom drawer', async () => {
    const until = new Date(Date.now() + 6 * 60 * 60_000).toISOString();
    page.answer('GET /deleted', [
      { id: 'd', kind: 'source', name: 'Old walks', posts: 44, lenses: ['Walks'], at: notes.updatedAt, until },
    ]);
    await drawn();
    expect(page.words).toContain('Old walks44 posts, 1 lens6 hours left');
    page.answer('POST /deleted/d/restore', { kind: 'source', slug: 'old-walks' });
    await page.pressAndSettle('Bring back Old walks');
    expect(page.sent.at(-1)![0]).toBe('POST /deleted/d/restore');
  });

  test('a file of a name that was brought in before may take the place of its posts', async () => {
    await drawn();
    await drop('notes.csv');
    expect(page.words).toContain('notes.csv was brought in before, as Field notes');
    await page.pressAndSettle('Replace its posts');
    expect(page.place).toBe('/sources/notes/replace');
  });

  test('a newer file of the same fields may too, whatever it is called; or become a source of its own', async () => {
    const keys = ['no', 'title', 'theme', 'day', 'price'];
    const fields = keys.map((key) => ({ key, label: key, type: 'text' as const, filled: 1 }));
    sources([{ ...notes, fields, live: null }]);
    await drawn();
    page.answer('POST /looks', { fields: keys.map((key) => ({ key, label: key, type: 'text', role: null })) });
    await drop('november.csv');
    await page.settle();
    expect(page.words).toContain('november.csv has the fields of Field notes');
    expect(page.sent.some(([what]) => what === 'POST /sources')).toBe(false);
    await page.pressAndSettle('Replace its posts');
    expect(page.place).toBe('/sources/notes/replace');
  });
});

describe('many sources stand in a cabinet', () => {
  const many = Array.from({ length: 40 }, (_, i) => ({
    ...{ ...notes, slug: `s${i}`, name: `Source ${i}`, posts: 10 * i, findingCount: i % 4 },
    fields: [{ key: 'kind', label: i === 7 ? 'Wader' : 'Kind', type: 'terms' as const, filled: 1 }],
  }));
  beforeEach(() => {
    sources(many);
    lenses([{ slug: 'a', name: 'Late terns', source: 's12', release: 3, changed: false }]);
    page.answer('GET /deleted', []);
  });
  const fronts = () => page.texts('[data-drawer] .serif');

  test('a drawer is found by what is in it, and pulled out by a press', async () => {
    await drawn();
    expect(fronts()).toHaveLength(40);
    page.type('Find a source, a field or a lens', 'wader');
    await page.settle();
    expect(fronts()).toEqual(['Source 7']);
    page.type('Find a source, a field or a lens', 'late terns');
    await page.settle();
    act(() => page.element.querySelector<HTMLElement>('[data-drawer]')!.click());
    await page.settle();
    expect(page.texts('aside h2')[0]).toContain('Source 12');
    expect(page.texts('aside a').map((text) => text.trim())).toEqual(
      expect.arrayContaining(['Late terns', 'Open the tray', 'Replace posts']),
    );
    page.type('Find a source, a field or a lens', 'nothing like it');
    await page.settle();
    await page.pressAndSettle('Show all');
    expect(fronts()).toHaveLength(40);
  });

  test('they stand by size, and arrows go from one to the next', async () => {
    await drawn();
    await page.pressAndSettle('Size');
    expect(fronts()[0]).toBe('Source 39');
    const first = page.element.querySelector<HTMLElement>('[data-drawer]')!;
    first.focus();
    act(() => void first.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true })));
    expect(document.activeElement?.textContent).toContain('Source 38');
  });
});

test('a first visit offers a finished example and a sample with faults', async () => {
  sources([]);
  lenses([]);
  await drawn();
  expect(page.texts('h3').slice(0, 3)).toEqual([
    'Bring posts in',
    'Compose facets on the live page',
    'Put one line on a page',
  ]);
  page.answer('POST /demo', { lens: 'field-notes' });
  await page.pressAndSettle('Open the wardens’ notes');
  expect(page.place).toBe('/lenses/field-notes');
});

test('the sample is a table with faults to find, and leads to its tray', async () => {
  sources([]);
  lenses([]);
  await drawn();
  page.answer('POST /sources', { ...job, id: 'j1' }, 202);
  page.answer('GET /jobs/j1', { ...job, state: 'done', result: { slug: 'estuary-sample' } });
  await page.pressAndSettle('Try the sample');
  await later();
  const form = page.sent.find(([what]) => what === 'POST /sources')![1] as FormData;
  const text = await new Promise<string>((done) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.readAsText(form.get('file') as File);
  });
  const rows = text.trim().split('\n');
  expect(rows).toHaveLength(25);
  // an id twice, a term spelt twice, a day that is none
  expect(rows.filter((row) => row.startsWith('s-12,'))).toHaveLength(2);
  expect(text).toContain('mud flat');
  expect(text).toContain('2026-02-30');
});

test('where the demo can’t be brought in, that is said', async () => {
  sources([]);
  lenses([]);
  await drawn();
  page.answer('POST /demo', { code: 'x', detail: 'There is no room for it.' }, 507);
  await page.pressAndSettle('Open the wardens’ notes');
  expect(page.texts('[role=alert]')).toEqual(['There is no room for it.']);
  expect(page.named('Open the wardens’ notes').hasAttribute('disabled')).toBe(false);
});
