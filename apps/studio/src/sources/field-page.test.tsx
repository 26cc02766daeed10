import type { FieldPreview, SourceView } from '@ivy/client';
import { BesideServer } from '../../test/beside-server.js';
import { fieldOf } from '../../test/field-of.js';
import { FieldPage } from './field-page.js';

const seen = fieldOf('seen', 'text', { filled: 6 });
const source = {
  slug: 'notes',
  name: 'Field notes',
  posts: 6,
  fields: [fieldOf('id', 'text', { role: 'id' }), seen, fieldOf('mail', 'text', { left: true })],
  findings: [],
  rejected: [],
  updatedAt: '2026-05-18T12:00:00Z',
} as unknown as SourceView;
const preview: FieldPreview = {
  before: seen,
  after: { ...seen, type: 'date' },
  filled: 6,
  read: 4,
  changed: 6,
  types: { text: 6, date: 4, number: 0 },
  posts: { before: 6, after: 6 },
  fields: [],
  findings: [],
  rows: [
    { record: 1, raw: '03/04/2026', before: '03/04/2026', after: '2026-04-03' },
    { record: 3, raw: 'late May', before: 'late May', after: null },
  ],
  lenses: [
    {
      slug: 'a',
      name: 'Notes',
      of: 'release',
      facets: ['When'],
      before: '6 values',
      after: '2026-04-03 to 2026-04-12',
      posts: null,
      problem: null,
    },
    {
      slug: 'a',
      name: 'Notes',
      of: 'draft',
      facets: ['When'],
      before: '6 values',
      after: '2026-04-03 to 2026-04-12',
      posts: null,
      problem: null,
    },
  ],
};

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());
const looks = 'PATCH /sources/notes/fields/seen?preview=1';
const keeps = 'PATCH /sources/notes/fields/seen';

async function drawn(answer: FieldPreview = preview, key = 'seen'): Promise<void> {
  page.answer('GET /sources/notes', source);
  page.answer(looks, answer);
  page.answer(looks.replace('seen', key), answer);
  await page.visit(<FieldPage />, `/sources/notes/fields/${key}`, '/sources/:slug/fields/:key');
  await later();
}
async function later(): Promise<void> {
  for (let i = 0; i < 12; i++) await page.settle();
}
const cells = () => page.texts('tbody tr').map((one) => one.replace(/\s+/g, ' '));

test('each type says how many values it can read; a change is shown on them before anything is kept', async () => {
  await drawn();
  expect(page.texts('[role=group] button').slice(0, 3)).toEqual(['Text6', 'Terms', 'Day4']);
  page.press('Day4');
  await later();
  expect(page.sent.at(-1)).toEqual([looks, { type: 'date' }]);
  expect(cells()).toEqual(['103/04/202603/04/2026 2026-04-03', '3late Maylate May not read']);
  expect(page.words).toContain('4 of 6 can be read');
  expect(page.words).toContain('2 cannot');
  expect(page.words).toContain('as visitors have it, and its draft');
  expect(page.sent.some(([what]) => what === keeps)).toBe(false);
});

test('what is kept can be undone, by all that was so before', async () => {
  await drawn();
  page.press('Day4');
  await later();
  page.answer(keeps, preview);
  page.press('Keep');
  await later();
  expect(page.sent.filter(([what]) => what === keeps).at(-1)).toEqual([keeps, { type: 'date' }]);
  expect(page.words).toContain('The values as they came stay underneath.');
  page.press('Undo');
  await later();
  expect(page.sent.filter(([what]) => what === keeps).at(-1)).toEqual([
    keeps,
    {
      ...{
        type: 'text',
        role: null,
        label: 'Seen',
        separator: null,
        pathSeparator: null,
        dateOrder: null,
        left: false,
      },
      ...{ parent: null, end: null, unit: null, words: null, reference: null, by: null },
    },
  ]);
});

test('what a released lens can’t work with can’t be kept, and says why', async () => {
  await drawn({ ...preview, lenses: [{ ...preview.lenses[0]!, problem: 'must be a field of dates' }] });
  page.press('Terms');
  await later();
  expect(page.named<HTMLButtonElement>('Keep').disabled).toBe(true);
  expect(page.words).toContain('Notes can’t work with that: must be a field of dates.');
  page.press('Leave as it is');
  await later();
  expect(page.words).not.toContain('can’t work with that');
});

test('a name, a role and what parts terms are said too; saying what is so already changes nothing', async () => {
  await drawn();
  page.type('Called', 'Seen on');
  page.leave('Called');
  page.type('Is', 'published');
  await later();
  expect(page.sent.at(-1)).toEqual([looks, { label: 'Seen on', role: 'published' }]);
  page.type('Is', '');
  page.type('Called', 'Seen');
  page.leave('Called');
  await later();
  expect(page.words).not.toContain('not kept yet');
});

test('the key stays the key', async () => {
  await drawn({ ...preview, before: source.fields[0]!, after: source.fields[0]! }, 'id');
  expect([page.named<HTMLButtonElement>('Left out').disabled, page.named<HTMLSelectElement>('Is').disabled]).toEqual([
    true,
    true,
  ]);
});

test('a field that is not there says so, and a server that does not answer is told', async () => {
  page.answer('GET /sources/notes', source);
  await page.visit(<FieldPage />, '/sources/notes/fields/gone', '/sources/:slug/fields/:key');
  expect(page.words).toContain('There is no field “gone”');
  page.close();
  page.open();
  page.answer('GET /sources/notes', source);
  await page.visit(<FieldPage />, '/sources/notes/fields/seen', '/sources/:slug/fields/:key');
  await later();
  expect(page.texts('[role=status]').join()).not.toBe('');
});
