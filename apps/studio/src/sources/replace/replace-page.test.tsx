import type { RunMade, RunView } from '@ivy/client';
import { BesideServer } from '../../../test/beside-server.js';
import { holdFile } from './held-file.js';
import { ReplacePage } from './replace-page.js';
import { RunsPage } from './runs-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const source = {
  slug: 'notes',
  name: 'Field notes',
  posts: 4,
  fileName: 'may.csv',
  fields: [],
  findings: [],
  rejected: [],
};
const run: RunView = {
  id: 1,
  at: '2026-05-18T12:00:00Z',
  how: 'file',
  fileName: 'may.csv',
  state: 'done',
  added: 4,
  changed: 0,
  unchanged: 0,
  removed: 0,
  rejected: [],
  reason: null,
  posts: 4,
  undoable: false,
};
const looked: RunMade = {
  run: null,
  added: 1,
  changed: 1,
  unchanged: 2,
  removed: 1,
  total: 4,
  rejected: [],
  posts: [
    { id: '9', change: 'added', title: 'Slipway', fields: [], values: [] },
    {
      id: '2',
      change: 'changed',
      title: 'Count',
      fields: ['kind'],
      values: [{ key: 'kind', before: 'Mudfla', after: 'Mudflat' }],
    },
    { id: '3', change: 'removed', title: 'Talk', fields: [], values: [] },
  ],
  lenses: [{ slug: 'a', name: 'All notes', matched: { before: 4, after: 4 } }],
  findings: [],
  fields: { added: ['open'], gone: [] },
  mends: [{ id: 'm', field: 'kind', text: 'Read all as “Mudflat”', before: 2, after: 0 }],
};
const asks = 'PUT /sources/notes/posts?preview=1';
const keeps = 'PUT /sources/notes/posts';

async function drawn() {
  holdFile(new File(['id'], 'june.csv'), 'notes');
  page.answer('GET /sources/notes', source);
  page.answer('GET /sources/notes/runs', [run]);
  page.answer(asks, looked);
  await page.visit(<ReplacePage />, '/sources/notes/replace', '/sources/:slug/replace');
}

test('what a file would change stands in bands before anything is kept', async () => {
  await drawn();
  expect(page.words).toContain('2 posts read the same.');
  expect(page.texts('[aria-label=added] li')).toEqual(['Slipway9']);
  expect(page.texts('[aria-label=changed] mark')).toEqual(['t']);
  expect(page.texts('[aria-label=removed] s')).toEqual(['Talk']);
  expect(page.words).toContain('open is new');
  expect(page.words).toContain('fits nothing');
  expect(page.sent.map(([what]) => what)).toEqual([asks]);
  page.answer(keeps, { ...looked, run: 2 });
  await page.pressAndSettle('Keep 4');
  expect(page.sent.at(-1)![0]).toBe(keeps);
  expect(page.place).toBe('/sources/notes');
});

test('what the file lacks may stay', async () => {
  await drawn();
  page.answer(asks, { ...looked, removed: 0, unchanged: 3, total: 5 });
  await page.pressAndSettle('Keep posts that are not in this file');
  expect((page.sent.at(-1)![1] as FormData).get('keep')).toBe('missing');
  expect(page.texts('main ~ * , button').join()).toContain('Keep 5');
});

test('a file that can’t be read says why, and another may be chosen', async () => {
  await drawn();
  page.answer(asks, { code: 'no-id', detail: 'Posts of this source are known by “id”.' }, 422);
  await page.pressAndSettle('Keep posts that are not in this file');
  expect(page.texts('[role=alert]')[0]).toContain(
    'june.csv: Posts of this source are known by “id”. Nothing was changed.',
  );
  await page.pressAndSettle('Choose another file');
  expect(page.words).toContain('Drop the new file here');
});

test('history lists each run, and the newest is undone', async () => {
  page.answer('GET /sources/notes', source);
  page.answer('GET /sources/notes/runs', [
    {
      ...run,
      id: 2,
      fileName: 'june.csv',
      undoable: true,
      added: 2,
      removed: 1,
      rejected: [{ record: 4, reason: 'no "id"' }],
    },
    run,
  ]);
  await page.visit(<RunsPage />, '/sources/notes/runs', '/sources/:slug/runs');
  expect(page.texts('main li')[0]).toContain('june.csv a file');
  expect(page.texts('main li')[0]).toContain('+2 −1');
  expect(decodeURIComponent(page.element.querySelector('a[download]')!.getAttribute('href')!)).toContain(
    'record,line,reason\n4,,"no ""id"""',
  );
  page.answer('POST /sources/notes/runs/2/undo', looked);
  await page.pressAndSettle('Undo');
  expect(page.sent.at(-1)![0]).toBe('POST /sources/notes/runs/2/undo');
});

test('a file that was held for one source is offered to no other, and to that one once', async () => {
  await drawn();
  page.close();
  page.open();
  page.answer('GET /sources/notes', source);
  page.answer('GET /sources/notes/runs', [run]);
  await page.visit(<ReplacePage />, '/sources/notes/replace', '/sources/:slug/replace');
  expect(page.words).toContain('Drop the new file here');
  expect(page.sent).toEqual([]);
});
