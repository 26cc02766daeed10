import type { FieldDescription, Finding, Mend, MendOffer } from '@ivy/core';
import { BesideServer } from '../../test/beside-server.js';
import type { SourceView } from '@ivy/client';
import { SourcePage } from './source-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

function field(key: string, more: Partial<FieldDescription> = {}): FieldDescription {
  return {
    key,
    label: key[0]!.toUpperCase() + key.slice(1),
    type: 'text',
    role: null,
    multiple: false,
    tree: false,
    separator: null,
    pathSeparator: null,
    filled: 40,
    distinct: 40,
    samples: [`${key} one`, `${key} two`],
    spread: null,
    ...more,
  };
}
const habitat = field('habitat', { type: 'terms', multiple: true, distinct: 6, filled: 38, separator: ';' });
const readAs = (into: string, from: string): MendOffer => ({
  id: into,
  text: `Read all as “${into}”`,
  rule: { does: 'read', from: [from], into },
});
const finding: Finding = {
  id: 'near-twins~habitat~Mudflat~Mud flat',
  field: 'habitat',
  code: 'near-twins',
  posts: 4,
  text: 'Two spellings of one term.',
  values: ['Mudflat', 'Mud flat'],
  mends: [readAs('Mudflat', 'Mud flat'), readAs('Mud flat', 'Mudflat')],
};

const source: SourceView = {
  slug: 'notes',
  name: 'Field notes',
  posts: 40,
  format: 'csv',
  fileName: 'notes.csv',
  site: null,
  updatedAt: '2026-05-18T12:00:00Z',
  fields: [field('title', { role: 'title' }), habitat],
  findings: [finding],
  rejected: [],
  live: null,
};

async function drawn(more: Partial<SourceView> = {}) {
  page.answer('GET /sources/notes', { ...source, ...more });
  await page.visit(<SourcePage />, '/sources/notes', '/sources/:slug');
}

test('the fields lie on the tray, and the first that sorts posts is in hand', async () => {
  await drawn();
  expect(page.words).toContain('2 fields on the tray');
  expect(page.words).toContain('1 would make good facets.');
  expect(page.texts('aside h2')[0]).toContain('Habitat');
  expect(page.texts('aside dd')).toEqual(['habitat', '38 of 40 posts', '6', ';']);
});

test('a finding says what it is about, and takes one to its field', async () => {
  await drawn({ fields: [field('kind', { type: 'terms', distinct: 3 }), habitat] });
  expect(page.texts('aside h2')[0]).toContain('Kind');
  expect(page.texts('aside li')[0]).toContain('Two spellings of one term.habitatMudflatMud·flat');
  page.press('habitat');
  expect(page.texts('aside h2')[0]).toContain('Habitat');
});

test('a tray without findings says so, and one whose fields sort nothing too', async () => {
  await drawn({ findings: [], fields: [field('title', { role: 'title' })] });
  expect(page.words).toContain('Nothing on this tray wants mending.');
  expect(page.words).toContain('None sorts the posts into groups.');
});

test('records that were left out are counted, with the first reasons at hand', async () => {
  const rejected = Array.from({ length: 7 }, (_, i) => ({ record: i + 2, reason: 'It has no id.' }));
  await drawn({ rejected });
  const count = [...page.element.querySelectorAll<HTMLElement>('[title]')].find((one) =>
    one.textContent.includes('left out'),
  )!;
  expect(count.textContent).toBe('7 records left out');
  expect(count.title.split('\n')).toHaveLength(5);
  expect(count.title).toContain('Record 2: It has no id.');
});

test('a lens is started under the name that is given, and the Bench opens on it', async () => {
  await drawn();
  page.answer('POST /lenses', { slug: 'shore' }, 201);
  page.type('Name of the lens', '  Shore ');
  await page.pressAndSettle('Start a lens');
  expect(page.sent).toEqual([['POST /lenses', { name: 'Shore', source: 'notes' }]]);
  expect(page.place).toBe('/lenses/shore');
});

test('a lens without a name can’t be started, and a server that won’t is quoted', async () => {
  await drawn();
  page.type('Name of the lens', '  ');
  expect(page.named<HTMLButtonElement>('Start a lens').disabled).toBe(true);
  page.type('Name of the lens', 'Shore');
  page.answer('POST /lenses', { code: 'taken', detail: 'There is a lens “shore” already.' }, 409);
  await page.pressAndSettle('Start a lens');
  expect(page.texts('[role=alert]')).toEqual(['There is a lens “shore” already.']);
  expect(page.named<HTMLButtonElement>('Start a lens').disabled).toBe(false);
});

test('a source that does not come can be asked for again', async () => {
  await page.visit(<SourcePage />, '/sources/notes', '/sources/:slug');
  expect(page.texts('[role=alert]')[0]).toContain('The server does not answer');
  page.answer('GET /sources/notes', source);
  await page.pressAndSettle('Try again');
  expect(page.words).toContain('2 fields on the tray');
});

test('what makes a spelling another is boxed under the loupe, and said', async () => {
  await drawn();
  const loupe = page.element.querySelector('figure')!;
  expect(loupe.getAttribute('aria-label')).toBe('Under the loupe');
  expect([...loupe.querySelectorAll('mark')].map((one) => one.textContent)).toEqual(['·']);
  expect(loupe.textContent).toContain('two words');
});

describe('mending', () => {
  const made = {
    id: 'm',
    changed: 3,
    before: { ...habitat, distinct: 6 },
    after: { ...habitat, distinct: 5 },
    posts: { before: 40, after: 40 },
    fields: [{ before: { ...habitat, distinct: 6 }, after: { ...habitat, distinct: 5 } }],
    lenses: [
      {
        slug: 'n',
        name: 'Notes',
        of: 'release',
        facets: ['Habitat'],
        before: '6 terms',
        after: '5 terms',
        posts: null,
        problem: null,
      },
    ],
  };
  const looks = 'POST /sources/notes/mends?preview=1';

  test('what a mend would do is said before it is done', async () => {
    await drawn();
    page.answer(looks, made, 201);
    await page.pressAndSettle('Read all as “Mudflat”');
    expect(page.texts('aside [role=status]')[0]).toContain('3 posts change.Habitat: 6 terms → 5 terms');
    expect(page.words).toContain('Notes, as visitors have it: 6 terms → 5 terms');
    expect(page.sent.map(([what]) => what)).toEqual([looks]);
    await page.pressAndSettle('Leave it');
    expect(page.words).not.toContain('3 posts change');
    page.answer('POST /sources/notes/mends', made, 201);
    await page.pressAndSettle('Read all as “Mudflat”');
    await page.pressAndSettle('Keep');
    expect(page.sent.at(-1)).toEqual([
      'POST /sources/notes/mends',
      { finding: 'near-twins~habitat~Mudflat~Mud flat', mend: 'Mudflat' },
    ]);
  });

  test('what is mended stands among the rules, and is taken back there', async () => {
    const rule: Mend = {
      id: 'near-twins~habitat~x',
      code: 'near-twins',
      mend: 'y',
      found: '“x” and “y”',
      text: 'Read all as “y”',
      rule: { does: 'read', from: ['x'], into: 'y' },
    };
    await drawn({ findings: [], fields: [{ ...habitat, mends: [rule] }] });
    expect(page.words).toContain('Read all as “y”');
    page.says.set('DELETE /sources/notes/mends/near-twins~habitat~x', () =>
      Promise.resolve({ ok: true, status: 204 } as Response),
    );
    await page.pressAndSettle('Undo “Read all as “y””');
    expect(page.sent.at(-1)![0]).toBe('DELETE /sources/notes/mends/near-twins~habitat~x');
  });

  test('all of a kind are mended at once, and what that does is said first', async () => {
    const other = {
      ...finding,
      id: 'near-twins~habitat~Reed~reed',
      values: ['Reed', 'reed'],
      mends: [readAs('Reed', 'reed')],
    };
    await drawn({ findings: [finding, other] });
    page.answer(looks, { ...made, ids: ['a', 'b'], changed: 9 }, 201);
    await page.pressAndSettle('Mend all of this kind');
    expect(page.sent.at(-1)).toEqual([looks, { code: 'near-twins' }]);
    expect(page.texts('aside [role=status]')[0]).toContain('9 posts change.');
    page.answer('POST /sources/notes/mends', made, 201);
    await page.pressAndSettle('Keep');
    expect(page.sent.at(-1)).toEqual(['POST /sources/notes/mends', { code: 'near-twins' }]);
  });

  test('values that can’t be read are written by hand', async () => {
    const keep: MendOffer = { id: 'keep', text: 'Leave it', rule: { does: 'keep' } };
    const unread = {
      ...finding,
      code: 'unreadable-values',
      id: 'unreadable-values~habitat',
      values: ['late May'],
      mends: [keep],
    };
    await drawn({ findings: [unread] });
    await page.pressAndSettle('Write each by hand');
    page.type('late May', '2026-05-30');
    page.answer(looks, made, 201);
    await page.pressAndSettle('See what it does');
    expect(page.sent.at(-1)).toEqual([looks, { field: 'habitat', values: { 'late May': '2026-05-30' } }]);
  });

  test('a mend that fits nothing says so', async () => {
    const rule: Mend = {
      id: 'x',
      code: 'near-twins',
      mend: 'y',
      found: 'x',
      text: 'Read x as y',
      rule: { does: 'read', from: ['x'], into: 'y' },
      used: 0,
    };
    await drawn({ findings: [], fields: [{ ...habitat, mends: [rule] }] });
    expect(page.words).toContain('Fits nothing any more.');
  });

  test('what is refused says why', async () => {
    await drawn();
    page.answer(looks, { status: 409, code: 'lens-breaks', detail: 'Notes can’t work with that.' }, 409);
    await page.pressAndSettle('Read all as “Mud flat”');
    expect(page.texts('[role=alert]')).toEqual(['Notes can’t work with that.']);
  });
});
