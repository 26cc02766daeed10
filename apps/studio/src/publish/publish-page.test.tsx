import { BesideServer } from '../../test/beside-server.js';
import { lensOf } from '../../test/lens-of.js';
import type { LensView, ReleaseView } from '@ivy/client';
import { PublishPage } from './publish-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const habitat = { key: 'habitat', kind: 'checkboxes', field: 'habitat', label: 'Habitat' };
const released = lensOf({ facets: [habitat] });
const draft = lensOf({
  facets: [
    { ...habitat, match: 'all' },
    { key: 'open', kind: 'switch', field: 'volunteers', label: 'Volunteers' },
  ],
});

function lens(more: Partial<LensView>) {
  page.answer('GET /lenses/notes', {
    slug: 'notes',
    name: 'Field notes',
    draft,
    draftRevision: 7,
    changed: true,
    ...more,
  });
}
const release = (number: number, note = ''): ReleaseView => ({
  number,
  note,
  createdAt: '2026-05-18T12:00:00Z',
  config: released,
});
const releases = (...all: ReleaseView[]) => page.answer('GET /lenses/notes/releases', all);
const drawn = () => page.visit(<PublishPage />, '/lenses/notes/publish', '/lenses/:slug/publish');

test('the first release is said to be the first, and published with its note', async () => {
  lens({ release: null });
  releases();
  await drawn();
  expect(page.words).toContain('Not on any page yet');
  expect(page.texts('nav li')).toEqual(['Release 1 draftThe first one']);
  page.type('What is new, in a few words', 'Opening day');
  page.answer('POST /lenses/notes/releases', { number: 1 }, 201);
  lens({ draft: released, changed: false });
  releases(release(1, 'Opening day'));
  await page.pressAndSettle('Publish release 1');
  expect(page.sent).toEqual([['POST /lenses/notes/releases', { note: 'Opening day', draftRevision: 7 }]]);
  expect(page.texts('[role=status]')).toEqual(['Release 1 is live. Pages have it from their next request on.']);
  expect(page.words).toContain('Visitors have all of it');
});

test('what visitors will notice is told one by one, as it was and as it becomes', async () => {
  lens({});
  releases(release(3, 'Shorter list'), release(2));
  await drawn();
  expect(page.words).toContain('What visitors will notice 2 things');
  const changes = page.texts('main li');
  expect(changes).toHaveLength(2);
  for (const words of ['Habitat takes posts with all of the ticked terms', 'any ticked', 'all ticked'])
    expect(changes[0]).toContain(words);
  for (const words of ['Volunteers is a new facet', 'not there', 'switch']) expect(changes[1]).toContain(words);
  const leaves = page.texts('nav li');
  expect(leaves.map((leaf) => leaf.slice(0, 9))).toEqual(['Release 4', 'Release 3', 'Release 2']);
  expect(leaves.map((leaf) => [leaf.includes('draft2 changes'), /^Release \d live/.test(leaf)])).toEqual([
    [true, false],
    [false, true],
    [false, false],
  ]);
  expect(leaves[1]).toContain('Shorter list');
});

test('where nothing is new, nothing can be published', async () => {
  lens({ draft: released, changed: false });
  releases(release(3));
  await drawn();
  expect(page.words).toContain('nothing to publish');
  expect(page.named<HTMLButtonElement>('Publish release 4').disabled).toBe(true);
  expect(page.named<HTMLInputElement>('What is new, in a few words').disabled).toBe(true);
});

test('a draft that someone else has saved meanwhile is not published, and that is said', async () => {
  lens({});
  releases(release(3));
  await drawn();
  const detail = 'Someone saved the draft since. Look at it again.';
  page.answer('POST /lenses/notes/releases', { code: 'stale', detail }, 412);
  page.type('What is new, in a few words', 'Mine');
  await page.pressAndSettle('Publish release 4');
  expect(page.texts('[role=status]')).toEqual([detail]);
  // what was typed is still there to be sent again
  expect(page.named<HTMLInputElement>('What is new, in a few words').value).toBe('Mine');
});

test('an old release is made the draft, and visitors keep theirs', async () => {
  lens({});
  releases(release(3), release(2));
  await drawn();
  page.answer('POST /lenses/notes/releases/3/restore', { draftRevision: 8 });
  await page.pressAndSettle('make it the draft');
  // what goes is said before it goes
  expect(page.sent).toEqual([]);
  expect(page.words).toContain('2 changes would go from the draft.');
  await page.pressAndSettle('Make it the draft');
  expect(page.sent.map(([what]) => what)).toEqual(['POST /lenses/notes/releases/3/restore']);
  expect(page.texts('[role=status]')[0]).toContain('Release 3 is the draft now.');
});

test('a release that breaks a saved address stops with the reason, and goes on when told to', async () => {
  lens({});
  releases(release(3));
  const reason = 'Home page: 0 where exactly 8 are expected';
  page.answer('GET /lenses/notes/addresses', [{ id: 'a', name: 'Home page', address: 'habitat=mudflat', expect: {} }]);
  page.answer('GET /lenses/notes/addresses/check?of=draft', [
    { id: 'a', holds: false, reasons: ['0 where exactly 8 are expected'] },
  ]);
  await drawn();
  expect(page.words).toContain('1 of 1 saved address would not hold');
  const errors = [{ pointer: '/addresses/a', message: reason }];
  page.answer('POST /lenses/notes/releases', { code: 'addresses-fail', detail: 'It no longer holds.', errors }, 409);
  await page.pressAndSettle('Publish release 4');
  expect(page.texts('[role=status]')[0]).toContain(reason);
  page.answer('POST /lenses/notes/releases', { number: 4 }, 201);
  await page.pressAndSettle('Publish anyway');
  expect(page.sent.at(-1)).toEqual(['POST /lenses/notes/releases', { note: '', draftRevision: 7, anyway: true }]);
});

test('an earlier release is put live again as a new number, and a draft it took the place of comes back', async () => {
  lens({ restored: 2 });
  releases(release(3), release(2));
  await drawn();
  page.answer('POST /lenses/notes/releases/2/publish', { number: 4 }, 201);
  await page.pressAndSettle('put it live again');
  expect(page.texts('[role=status]')).toEqual(['Release 2 is live again, as release 4. The draft is as it was.']);
  page.answer('POST /lenses/notes/draft/undo', { draftRevision: 9 });
  await page.pressAndSettle('Take it back');
  expect(page.sent.at(-1)![0]).toBe('POST /lenses/notes/draft/undo');
});

test('a lens that is not there is said so', async () => {
  page.answer('GET /lenses/notes', { code: 'not-found', detail: 'There is no lens “notes”.' }, 404);
  releases();
  await drawn();
  expect(page.texts('[role=alert]')[0]).toContain('Not hereThere is no lens “notes”.');
});

test('the lines for a page are copied as they stand', async () => {
  lens({});
  releases(release(3));
  await drawn();
  const written: string[] = [];
  Object.defineProperty(navigator, 'clipboard', {
    configurable: true,
    value: { writeText: (text: string) => Promise.resolve(void written.push(text)) },
  });
  await page.pressAndSettle('Copy');
  expect(written).toEqual([
    `<script type="module" src="${location.origin}/embed/ivy-lens.js"></script>\n<ivy-lens name="notes" style="display:block;min-height:100vh"></ivy-lens>`,
  ]);
  expect(page.texts('button')).toContain('Copied');
});

test('what is released can be followed, and the settings be taken along; what is not, not yet followed', async () => {
  lens({ release: null });
  releases();
  await drawn();
  expect(page.texts('h2')).not.toContain('To follow');
  page.close();
  page.open();
  lens({});
  releases(release(1));
  await drawn();
  expect(page.texts('pre').at(-1)).toBe('http://localhost/api/v1/lenses/notes/feed.atom');
  const links = [...page.element.querySelectorAll('a')];
  expect(links.find(({ textContent }) => textContent === 'The same as JSON Feed')!.getAttribute('href')).toBe(
    '/api/v1/lenses/notes/feed.json',
  );
  const file = links.find(({ textContent }) => textContent === 'Download it')!;
  expect(file.download).toBe('notes.json');
  expect(JSON.parse(decodeURIComponent(file.href.slice(file.href.indexOf(',') + 1)))).toEqual(
    JSON.parse(JSON.stringify(draft)),
  );
});

describe('settings from a file', () => {
  /** Has a file chosen where settings are read in. */
  const choose = async (text: string, name = 'from-staging.json') => {
    const input = page.element.querySelector<HTMLInputElement>('[aria-label="A file of settings"]')!;
    const file = Object.assign(new File([text], name), { text: () => Promise.resolve(text) });
    Object.defineProperty(input, 'files', { value: [file], configurable: true });
    input.dispatchEvent(new Event('change', { bubbles: true }));
    await page.settle();
  };
  const fieldOf = (key: string, type: string) => ({ key, label: key, type, role: null, multiple: false, tree: false });
  beforeEach(async () => {
    lens({ source: 'notes' });
    releases(release(3));
    page.answer('GET /sources/notes', {
      slug: 'notes',
      fields: [fieldOf('habitat', 'terms'), fieldOf('volunteers', 'boolean')],
    });
    await drawn();
  });

  test('they take the place of the draft once one has seen what goes, and it comes back by a press', async () => {
    await choose(JSON.stringify(released));
    expect(page.sent).toEqual([]);
    expect(page.words).toContain('from-staging.json in place of the draft');
    expect(page.words).toContain('2 changes would go from the draft.');
    page.answer('PUT /lenses/notes/draft', { draftRevision: 8 });
    await page.pressAndSettle('Make it the draft');
    expect(page.sent).toEqual([['PUT /lenses/notes/draft', { config: released }]]);
    expect(page.texts('[role=status]')[0]).toContain('The draft is what from-staging.json says.');
    await page.pressAndSettle('Take it back');
    expect(page.sent.at(-1)).toEqual(['PUT /lenses/notes/draft', { config: draft }]);
    expect(page.texts('[role=status]')[0]).toContain('The draft is what it was before.');
  });

  test('what can’t work here is refused with where it stands', async () => {
    await choose('dear diary');
    expect(page.words).toContain('from-staging.json is no JSON.');
    await choose(JSON.stringify({ facets: [{ key: 'place', kind: 'checkboxes', field: 'place' }] }));
    expect(page.words).toContain('/facets/0/field names the field “place”, which the source does not have');
    await choose(JSON.stringify({ facets: [{ key: 'place', kind: 'lever' }] }));
    expect(page.words).toContain('/facets/0/kind');
    expect(page.words).not.toContain('Make it the draft');
    expect(page.sent).toEqual([]);
  });
});
