import type { AddressCheck, SavedAddressView } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { MemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import { BesideServer } from '../../test/beside-server.js';
import { lensOf } from '../../test/lens-of.js';
import { fetcher } from '../api/api.js';
import { huesOf } from '../bench/edits.js';
import { nameRows, usesOf } from './names.js';
import { Plate } from './plate.js';
import { SavedAddresses } from './saved-addresses.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const lens = lensOf({
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'], label: 'Habitat' },
    { key: 'day', kind: 'date-range', field: 'day', label: 'Day' },
  ],
});
const saved = (id: string, more: Partial<SavedAddressView> = {}): SavedAddressView => ({
  ...{ id, folder: '', name: '', address: 'habitat=mudflat', expect: { matched: 4 } },
  createdAt: '2026-05-18T12:00:00Z',
  ...more,
});
const check = (id: string, more: Partial<AddressCheck> = {}): AddressCheck => ({
  ...{ id, holds: true, expected: { matched: 4 }, got: { matched: 4, missing: [], there: [] }, reasons: [] },
  ...{ lost: [], gained: { posts: 0, some: [] }, notices: [], canonical: 'habitat=mudflat' },
  ...more,
});

describe('the plate', () => {
  let edited: Lens[];
  const drawn = (all: SavedAddressView[] = []) => {
    edited = [];
    page.draw(
      <Plate
        {...{ slug: 'notes', lens }}
        rows={nameRows(lens, [], undefined)}
        hues={huesOf(lens.facets)}
        uses={usesOf(all)}
        onEdit={(next) => edited.push(next)}
      />,
    );
  };

  test('a name is changed where it stands; one that can’t be says why and is not taken', () => {
    drawn();
    page.press('Rename habitat');
    const box = 'Name of Habitat in addresses';
    page.type(box, 'day');
    expect(page.texts('[role=alert]')).toEqual(['“day” is taken in this lens already.']);
    page.key(box, 'Enter');
    page.type(box, 'where');
    page.key(box, 'Enter');
    expect(edited.map(({ facets }) => [facets[0]!.key, facets[0]!.aliases])).toEqual([['where', ['zone', 'habitat']]]);
    page.press('Rename day');
    page.key('Name of Day in addresses', 'Escape');
    expect(edited).toHaveLength(1);
  });

  test('an old name is let go only after it is said who uses it', () => {
    drawn([saved('a', { address: 'zone=mudflat', name: 'Board' }), saved('b')]);
    page.press('let zone go');
    expect(page.texts('[role=alert] p')[0]).toContain('1 saved address uses it');
    expect(page.texts('[role=alert] li')).toEqual(['Board']);
    page.press('Keep it');
    expect([page.texts('[role=alert]'), edited]).toEqual([[], []]);
    page.press('let zone go');
    page.press('Let it go');
    expect([edited[0]!.facets[0]!.aliases, edited[0]!.address.gone]).toEqual([[], ['zone']]);
  });

  test('every name is given a beginning; one that can’t be is not taken', () => {
    drawn();
    const box = 'Every name begins with';
    page.type(box, 'N ');
    page.key(box, 'Enter');
    expect(edited).toEqual([]);
    page.type(box, 'n-');
    page.key(box, 'Enter');
    expect(edited[0]!.address).toMatchObject({ prefix: 'n-' });
    expect(edited[0]!.address.former.map(({ name }) => name)).toContain('habitat');
  });

  test('names that a page uses itself are told, with the beginning that mends it', async () => {
    drawn();
    page.answer('GET /lenses/notes/check?page=https%3A%2F%2Fexample.org', [
      { code: 'parameters', ok: false, text: 'The page uses “page” in its address itself', mend: '' },
    ]);
    page.type('A page it stands on', 'example.org');
    await page.pressAndSettle('Look');
    expect(page.words).toContain('The page uses “page” in its address itself');
    page.press('n- before every name');
    expect(edited[0]!.address.prefix).toBe('n-');
  });
});

describe('saved addresses', () => {
  const drawn = async (all: SavedAddressView[] | undefined, error?: Error) => {
    page.draw(
      <SWRConfig value={{ fetcher, provider: () => new Map(), shouldRetryOnError: false, dedupingInterval: 0 }}>
        <MemoryRouter>
          <SavedAddresses
            {...{ slug: 'notes', lens, error, hasRelease: true }}
            hues={huesOf(lens.facets)}
            saved={all}
            retry={() => undefined}
          />
        </MemoryRouter>
      </SWRConfig>,
    );
    await page.settle();
  };
  const checks = (of: 'draft' | 'release', ...all: AddressCheck[]) =>
    page.answer(`GET /lenses/notes/addresses/check?of=${of}`, all);
  const path = '/lenses/notes/addresses';

  test('none yet, and none that came, are said', async () => {
    await drawn([]);
    expect(page.words).toContain('None yet.');
    await drawn(undefined, new Error('There is no connection.'));
    expect(page.texts('[role=alert]')[0]).toContain('There is no connection.');
  });

  test('each stands in its folder, with what it must find and what it finds', async () => {
    checks('release', check('a'), check('b'));
    checks(
      'draft',
      check('a'),
      check('b', {
        holds: false,
        reasons: ['3 where exactly 4 are expected'],
        got: { matched: 3, missing: [], there: [] },
      }),
    );
    await drawn([saved('a', { name: 'Home page' }), saved('b', { folder: 'June letter', address: 'zone=mudflat' })]);
    expect(page.texts('header > button.remark')).toEqual(['In no folder', 'June letter']);
    expect(page.words).toContain('release2 of 2');
    expect(page.words).toContain('draft1 of 2');
    expect(page.words).toContain('1 of 1 differs');
    expect(page.texts('bdi.line-through')).toEqual(['zone']);
  });

  test('one that differs says what did it, and is settled by a press', async () => {
    const lost = [
      { facet: 'habitat', text: 'Habitat: Saltmarsh now', posts: 1, some: [{ id: 'n3', title: 'Eel pass' }] },
    ];
    const differs = check('a', {
      ...{ holds: false, reasons: ['3 where exactly 4 are expected'], lost },
      got: { matched: 3, missing: [], there: [] },
      gained: { posts: 2, some: [{ id: 'n9', title: 'New hide' }] },
    });
    checks('release', differs);
    checks('draft', differs);
    await drawn([saved('a')]);
    const why = page.texts('[aria-label="Why it differs"]')[0]!;
    for (const words of ['4 expected', '3 came', '−1Habitat: Saltmarsh now“Eel pass”', '+2came since“New hide”'])
      expect(why).toContain(words);
    page.answer(`PATCH ${path}/a`, saved('a', { expect: { matched: 3 } }));
    await page.pressAndSettle('accept 3');
    expect(page.sent).toEqual([[`PATCH ${path}/a`, { expect: { matched: 3 } }]]);
  });

  test('what it must find is changed, and it is put into a folder', async () => {
    checks('release', check('a'));
    checks('draft', check('a'));
    await drawn([saved('a')]);
    page.press('change');
    page.type('in the folder', 'Boards');
    page.type('exactly', '');
    expect(page.named<HTMLButtonElement>('Keep').disabled).toBe(true);
    page.type('at least', '2');
    page.type('with the posts', 'n1, n2 ,');
    page.answer(`PATCH ${path}/a`, saved('a'));
    await page.pressAndSettle('Keep');
    expect(page.sent).toEqual([
      [`PATCH ${path}/a`, { name: '', folder: 'Boards', expect: { min: 2, has: ['n1', 'n2'] } }],
    ]);
  });

  test('one that is taken away comes back by a press', async () => {
    checks('release', check('a'));
    checks('draft', check('a'));
    await drawn([saved('a', { name: 'Home page' })]);
    page.answer(`DELETE ${path}/a`, null, 204);
    await page.pressAndSettle('take away');
    page.answer(`POST ${path}`, saved('b'), 201);
    await page.pressAndSettle('Undo');
    const { folder, name, address, expect: must } = saved('a', { name: 'Home page' });
    expect(page.sent.map(([what]) => what)).toEqual([`DELETE ${path}/a`, `POST ${path}`]);
    expect(page.sent[1]![1]).toEqual({ folder, name, address, expect: must });
  });

  test('a folder is called otherwise', async () => {
    checks('release', check('a'));
    checks('draft', check('a'));
    await drawn([saved('a', { folder: 'June' })]);
    page.press('June');
    page.answer(`PATCH ${path}`, []);
    page.type('Name of the folder', 'July');
    page.key('Name of the folder', 'Enter');
    await page.settle();
    expect(page.sent[0]).toEqual([`PATCH ${path}`, { folder: 'June', to: 'July' }]);
  });

  test('a list is brought in, what is passed over is said, and what is no list says why', async () => {
    await drawn([]);
    page.press('Bring in a list');
    page.type('List of addresses', 'Dear all');
    page.answer(`POST ${path}/import`, { code: 'no-addresses', detail: 'There is no address in it.' }, 422);
    await page.pressAndSettle('Bring in');
    expect(page.words).toContain('There is no address in it.');
    page.type('List of addresses', '/notes?habitat=mudflat\nnone');
    page.type('Into the folder', 'Links');
    const skipped = [{ line: 2, text: 'none', reason: 'It is no address.' }];
    page.answer(`POST ${path}/import`, { added: [saved('a')], skipped }, 201);
    await page.pressAndSettle('Bring in');
    expect(page.sent.at(-1)![1]).toEqual({ text: '/notes?habitat=mudflat\nnone', folder: 'Links' });
    expect(page.words).toContain('1 address brought in. 1 line passed over: It is no address. (line 2)');
    page.answer(`POST ${path}/remove`, null, 204);
    await page.pressAndSettle('Undo');
    expect(page.sent.at(-1)).toEqual([`POST ${path}/remove`, { ids: ['a'] }]);
  });
});
