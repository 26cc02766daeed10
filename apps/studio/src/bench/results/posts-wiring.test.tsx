import type { DryRun, Lens } from '@ivy/core';
import { useState } from 'react';
import { BesideServer } from '../../../test/beside-server.js';
import { fieldOf } from '../../../test/field-of.js';
import { lensOf } from '../../../test/lens-of.js';
import { ResultsWiring, type ResultsTab } from './results-wiring.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const fields = [fieldOf('kind', 'terms')];
const term = (slug: string, count: number) => ({ slug, label: slug, parent: null, count, hidden: false, aliases: [] });
const post = (id: string, title: string) => ({ id, title, values: {} });
/** The lens as it stands, newest last. */
let lenses: Lens[];

function Wiring({ config }: { config: object }) {
  const [lens, setLens] = useState(() => lensOf({ facets: [], ...config }));
  const [tab, setTab] = useState<ResultsTab>('card');
  const dryRun = { answer: { total: 131 } } as DryRun;
  return (
    <ResultsWiring
      {...{ lens, fields, dryRun }}
      slug="mine"
      source="notes"
      posts={480}
      reads="en"
      onReads={() => {}}
      tab={tab}
      onTab={setTab}
      part={null}
      onPart={() => {}}
      span="desktop"
      onSpan={() => {}}
      onEdit={(next) => {
        lenses.push(next);
        setLens(next);
      }}
    />
  );
}

const now = () => lenses.at(-1)!;

async function open(config: object = {}): Promise<void> {
  lenses = [];
  page.answer('GET /sources/notes/terms/kind', [term('survey', 9), term('sighting', 31)]);
  page.answer('GET /sources/notes/posts?q=terns&size=6', {
    total: 1,
    page: 1,
    pages: 1,
    items: [post('n-7', 'Terns')],
  });
  page.answer('GET /sources/notes/posts?ids=n-7', { total: 1, page: 1, pages: 1, items: [post('n-7', 'Terns')] });
  page.answer('GET /sources/notes/posts?ids=gone', { total: 0, page: 1, pages: 1, items: [] });
  page.answer('GET /lenses', [
    { slug: 'mine', name: 'Mine' },
    { slug: 'walks', name: 'Walks' },
  ]);
  page.answer('GET /lenses/walks', {
    source: 'walks',
    draft: lensOf({
      facets: [
        { key: 'sort-of', kind: 'checkboxes', field: 'sort', label: 'Sort of walk' },
        { key: 'q', kind: 'search', fields: ['title'], label: 'Search' },
      ],
    }),
  });
  page.answer('GET /sources/walks/terms/sort', [term('sighting', 3), term('stroll', 4)]);
  await page.visit(<Wiring config={config} />, '/');
  await page.pressAndSettle('Posts');
}

test('says how many posts are in the listing, and narrows them by terms with their counts', async () => {
  await open();
  expect(page.words).toContain('131 of 480 posts are in the listing');
  page.type('Only posts with some terms', 'kind');
  await page.settle();
  expect(page.texts('[aria-label="Only posts with Kind"] li')).toEqual(['sighting31', 'survey9']);
  // until something is ticked the listing stays as it is
  expect(page.words).toContain('Until then any Kind will do.');
  expect(lenses).toEqual([]);
  page.press('sighting31');
  expect(now().scope.where).toEqual([{ field: 'kind', is: ['sighting'] }]);
  page.press('survey9');
  page.press('sighting31');
  expect(now().scope.where).toEqual([{ field: 'kind', is: ['survey'] }]);
  page.press('Any Kind again');
  expect(now().scope.where).toEqual([]);
  expect(page.texts('[aria-label="Only posts with Kind"]')).toEqual([]);
});

test('a post is found by its title and put on a list; on the list of those left out it is on no other', async () => {
  await open();
  page.type('By hand', 'terns');
  await page.settle();
  const found = () => page.texts('[aria-label="Posts found"] li');
  page.answer('GET /sources/notes/posts?q=tern&size=6', { total: 0, page: 1, pages: 1, items: [] });
  page.type('By hand', 'tern');
  // what was found stays until the next is there
  expect(found()).toEqual(['Terns']);
  await page.settle();
  expect(found()).toEqual(['No post is called that.']);
  page.type('By hand', '');
  expect(found()).toEqual([]);
  page.type('By hand', 'terns');
  await page.settle();
  page.press('Pin Terns');
  await page.settle();
  expect([now().scope.pinned, page.texts('[aria-label="First of all"] li')]).toEqual([['n-7'], ['Terns']]);
  page.press('Leave out Terns');
  expect([now().scope.pinned, now().scope.exclude]).toEqual([[], ['n-7']]);
  page.press('Add Terns');
  expect([now().scope.include, now().scope.exclude]).toEqual([['n-7'], []]);
});

test('a post on a list that is not there any more is said to be so, and taken off', async () => {
  await open({ scope: { pinned: ['gone'] } });
  expect(page.texts('[aria-label="First of all"] li')).toEqual(['gone: no such post']);
  page.press('Take gone off the list');
  expect(now().scope.pinned).toEqual([]);
});

test('at most so many posts, or all of them', async () => {
  await open({ scope: { limit: 100 } });
  page.type('At most, newest first', '');
  page.leave('At most, newest first');
  expect('limit' in now().scope).toBe(false);
  page.type('At most, newest first', '50');
  page.leave('At most, newest first');
  expect(now().scope.limit).toBe(50);
});

test('where nothing is found posts can stand besides the ways out: of all, or of those with some terms', async () => {
  await open();
  page.press('ways out and posts');
  expect(now().nothing).toEqual({ show: 'posts', where: [], size: 3 });
  page.type('How many posts', '4');
  page.leave('How many posts');
  expect(now().nothing.size).toBe(4);
  page.type('Posts to show where nothing is found', 'kind');
  await page.settle();
  expect(now().nothing.where).toEqual([]);
  page.press('sighting31');
  expect(now().nothing.where).toEqual([{ field: 'kind', is: ['sighting'] }]);
  page.type('Posts to show where nothing is found', '');
  expect(now().nothing.where).toEqual([]);
});

test('choices in another lens of a page are followed by a field that has its terms, and how many it has is said', async () => {
  await open();
  await page.settle();
  expect(page.texts('[aria-label="Follow another lens"] option')).toEqual(['What is chosen in…', 'Walks']);
  page.type('Follow another lens', 'walks');
  await page.settle();
  expect(page.texts('[aria-label="Facet to follow"] button')).toEqual(['Sort of walk']);
  await page.pressAndSettle('Sort of walk');
  expect(now().follows).toEqual([{ lens: 'walks', facet: 'sort-of', field: 'kind' }]);
  await page.settle();
  expect(page.words).toContain('1 of its 2 terms are here too.');
  page.press('No longer follow Sort of walk in Walks');
  expect(now().follows).toEqual([]);
});
