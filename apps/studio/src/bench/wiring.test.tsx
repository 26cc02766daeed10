import type { FieldDescription, Lens, DryRun } from '@ivy/core';
import { BesideServer } from '../../test/beside-server.js';
import { lensOf } from '../../test/lens-of.js';
import { ApiProblem } from '@ivy/client';
import { Wiring } from './wiring.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const field = (key: string, type: FieldDescription['type'], more: Partial<FieldDescription> = {}) =>
  ({ key, label: `The ${key}`, type, filled: 90, distinct: 3, samples: [], ...more }) as FieldDescription;
const fields = [
  field('habitat', 'terms', { multiple: true }),
  field('place', 'terms', { tree: true, filled: 100 }),
  field('title', 'text', { role: 'title' }),
  field('body', 'html'),
  field('minutes', 'number'),
  field('day', 'date'),
  field('empty', 'terms', { filled: 0, distinct: 0 }),
];
const [mud, dune] = ['mud', 'dune'].map((slug) => ({
  ...{ slug, label: slug.toUpperCase(), parent: null, hidden: false, aliases: [], was: [] },
  count: slug === 'mud' ? 60 : 30,
}));

interface Asked {
  lenses: Lens[];
  topics: (string | undefined)[];
  focuses: (string | undefined)[];
  done: string[];
}

/** Draws the wiring of the first facet of a lens, and keeps what it asks for. */
async function drawn(config: object, more: { dryRun?: object; problem?: ApiProblem } = {}): Promise<Asked> {
  const lens = lensOf(config);
  const asked: Asked = { lenses: [], topics: [], focuses: [], done: [] };
  page.answer('GET /sources/notes/terms/habitat', [mud, dune]);
  await page.visit(
    <Wiring
      source="notes"
      posts={100}
      fields={fields}
      lens={lens}
      facet={lens.facets[0]!}
      hue={1}
      dryRun={(more.dryRun as DryRun | undefined) ?? null}
      problem={more.problem ?? null}
      onEdit={(next, topic, focus) => {
        asked.lenses.push(next);
        asked.topics.push(topic);
        asked.focuses.push(focus);
      }}
      onRemove={() => asked.done.push('remove')}
      onDuplicate={() => asked.done.push('duplicate')}
    />,
    '/',
  );
  return asked;
}

const habitat = { key: 'habitat', kind: 'checkboxes', field: 'habitat' };
const place = { key: 'place', kind: 'tree', field: 'place', aliases: ['where'] };

test('a facet is read from top to bottom: its field, its way, how it matches, its terms and its address', async () => {
  const effects = { habitat: { any: 1204, all: 7 } };
  await drawn({ facets: [habitat] }, { dryRun: { answer: { facets: [] }, effects } });
  expect(page.texts('h2, h3')).toEqual([
    'The habitat',
    'Reads',
    'Shows as',
    'Match',
    'Counts',
    'Drawn with',
    'Terms',
    'Lists',
    'Label',
    'Address',
  ]);
  expect(page.words).toContain('habitatterms, many each90 of 100 posts have a value');
  expect(page.texts('[data-testid^=match]')).toEqual(['1,204', '7']);
  expect(page.texts('li')).toEqual(['MUD60', 'DUNE30']);
  expect(page.words).toContain('= a,b');
});

test('how it matches, what it counts and how terms stand is set in one press each', async () => {
  const { lenses } = await drawn({ facets: [habitat] });
  page.press('all ticked…');
  page.press('Show counts');
  page.press('Hide');
  page.type('Order of terms', 'count');
  page.press('only these');
  page.press('Dropdown');
  expect(lenses.map(({ facets }) => facets[0])).toMatchObject([
    { match: 'all' },
    { counts: false },
    { zero: 'hide' },
    { order: 'count', sequence: [] },
    { only: ['mud', 'dune'] },
    { kind: 'dropdown' },
  ]);
});

test('terms are in the order visitors see, and an own order is said to be one', async () => {
  const { lenses } = await drawn({ facets: [{ ...habitat, sequence: ['dune', 'mud'] }] });
  expect(page.texts('li')).toEqual(['DUNE30', 'MUD60']);
  expect(page.named<HTMLSelectElement>('Order of terms').value).toBe('own');
  page.type('Order of terms', 'own');
  expect(lenses).toEqual([]);
});

test('a label is typed as one step; without one the name of the field is read', async () => {
  const { lenses, topics } = await drawn({ facets: [habitat] });
  expect(page.named<HTMLInputElement>('Label visitors read').placeholder).toBe('The habitat');
  page.type('Label visitors read', 'Where it lives');
  expect(lenses[0]!.facets[0]!.label).toBe('Where it lives');
  expect(topics).toEqual(['label habitat']);
});

test('an address name is changed when done with, kept in hand, and the old one stays good', async () => {
  const { lenses, focuses } = await drawn({ facets: [habitat, place] });
  page.type('Name in the address', 'living');
  expect(lenses).toEqual([]);
  page.key('Name in the address', 'Enter');
  expect(lenses[0]!.facets[0]).toMatchObject({ key: 'living', aliases: ['habitat'] });
  expect(focuses).toEqual(['living']);
});

test.each([
  ['place', 'Another part has this name.'],
  ['where', 'Another part has this name.'],
  ['sort', 'Another part has this name.'],
  ['Living', 'Lower-case letters, digits, - and _ only.'],
  ['-living', 'Lower-case letters, digits, - and _ only.'],
  ['', 'Lower-case letters, digits, - and _ only.'],
])('“%s” is refused as an address name: %s', async (name, words) => {
  const { lenses } = await drawn({ facets: [habitat, place] });
  page.type('Name in the address', name);
  expect(page.texts('[role=alert]')).toEqual([words]);
  expect(page.named('Name in the address').getAttribute('aria-invalid')).toBe('true');
  page.leave('Name in the address');
  expect(page.named<HTMLInputElement>('Name in the address').value).toBe('habitat');
  expect(page.texts('[role=alert]')).toEqual([]);
  expect(lenses).toEqual([]);
});

test('a name that is being typed can be left as it was', async () => {
  const { lenses } = await drawn({ facets: [habitat] });
  page.type('Name in the address', 'living');
  page.key('Name in the address', 'Escape');
  page.leave('Name in the address');
  expect(page.named<HTMLInputElement>('Name in the address').value).toBe('habitat');
  expect(lenses).toEqual([]);
});

test('an old name is let go', async () => {
  const { lenses } = await drawn({ facets: [{ ...habitat, aliases: ['living', 'home'] }] });
  page.press('Let the old name living go');
  expect(lenses[0]!.facets[0]!.aliases).toEqual(['home']);
});

test('it is duplicated and deleted by its name', async () => {
  const { done } = await drawn({ facets: [habitat] });
  page.press('Duplicate the facet The habitat');
  page.press('Delete the facet The habitat');
  expect(done).toEqual(['duplicate', 'remove']);
});

test('what the server refuses of this facet is said where it is set, and of others not', async () => {
  const errors = [
    { pointer: '/config/facets/0/step', message: 'must be a whole number' },
    { pointer: '/config/facets/1/label', message: 'is too long' },
    { pointer: '/config/facets/0/unit', message: 'is too long' },
  ];
  const minutes = { key: 'minutes', kind: 'number-range', field: 'minutes' };
  await drawn({ facets: [minutes, habitat] }, { problem: new ApiProblem(422, 'bad-config', 'No', errors) });
  expect(page.texts('[role=alert]')).toEqual(['Step must be a whole number.', 'Unit is too long.']);
});

test.each([
  [{ ...habitat, field: 'gone' }, 'field-gone', 'gone from the source0 of 100 posts have a value'],
  [{ ...habitat, field: 'empty' }, 'no-values', 'No post has a value here'],
  [{ key: 'day', kind: 'date-range', field: 'title' }, 'unreadable-dates', '“The title” holds no days'],
])('what can’t work or leads nowhere is told: %j', async (facet, code, words) => {
  await drawn({ facets: [facet] });
  expect(page.element.querySelector('[data-warning]')!.getAttribute('data-warning')).toBe(code);
  expect(page.words).toContain(words);
});

test('a search looks in what can be read, and always somewhere', async () => {
  const { lenses } = await drawn({ facets: [{ key: 'q', kind: 'search', fields: ['title'] }] });
  expect(page.texts('li')).toEqual([
    'The title90 posts',
    'The body90 posts',
    'The habitat90 posts',
    'The place100 posts',
    'The empty0 posts',
  ]);
  page.press('The title90 posts');
  expect(lenses).toEqual([]);
  page.press('The body90 posts');
  page.press('any words…');
  expect(lenses.map((lens) => lens.facets[0])).toMatchObject([{ fields: ['title', 'body'] }, { words: 'any' }]);
  expect(page.words).toContain('= words');
});

test('a field of a search counts by its weight, and what the weights do to the first page is listed', async () => {
  const config = { key: 'q', kind: 'search', fields: ['title', 'habitat'], weights: { habitat: 4 } };
  const moves = {
    q: [
      { id: 'a', title: 'Terns', before: 3 },
      { id: 'b', title: 'Waders', before: 2 },
      { id: 'c', title: 'Gulls', before: 1 },
      { id: 'd', title: 'Eels', before: null },
    ],
  };
  const { lenses } = await drawn({ facets: [config] }, { dryRun: { answer: { facets: [] }, effects: {}, moves } });
  expect(page.named<HTMLInputElement>('Weight of The habitat').value).toBe('4');
  expect(page.texts('[aria-label="First page by these weights"] li')).toEqual([
    '1Terns↑22 places up',
    '2Wadersstays',
    '3Gulls↓22 places down',
    '4Eelsnew here',
  ]);
  page.type('Weight of The title', '7');
  page.press('Usual weights');
  expect(lenses.map((lens) => (lens.facets[0] as { weights: object }).weights)).toEqual([{ habitat: 4, title: 7 }, {}]);
});

test('a range is shown by where its posts are, under all other facets', async () => {
  const answered = {
    ...{ key: 'minutes', bounds: { from: 5, to: 1200 } },
    buckets: [4, 0, 100, 1].map((count, i) => ({ from: i * 300, count })),
  };
  const dryRun = { answer: { facets: [answered] }, effects: {}, moves: {} };
  await drawn({ facets: [{ key: 'minutes', kind: 'number-range', field: 'minutes' }] }, { dryRun });
  const heights = [...page.element.querySelectorAll<HTMLElement>('.items-end > span')].map((bar) => bar.style.height);
  // the lowest can still be seen, and none is none
  expect(heights).toEqual(['4%', '0%', '100%', '3%']);
  expect(page.words).toContain('51,200');
  expect(page.words).toContain('= from/to');
});

test('a range that no post has a value in says so', async () => {
  const dryRun = { answer: { facets: [{ key: 'day', bounds: null, buckets: [] }] }, effects: {}, moves: {} };
  await drawn({ facets: [{ key: 'day', kind: 'date-range', field: 'day' }] }, { dryRun });
  expect(page.words).toContain('No post that passes the others has a value here.');
});

test('favourites say what they are; they read no field', async () => {
  await drawn({ facets: [{ key: 'marked', kind: 'favourites' }] });
  expect(page.words).toContain('Visitors mark posts on their cards.');
  expect(page.texts('h3')).not.toContain('Reads');
});
