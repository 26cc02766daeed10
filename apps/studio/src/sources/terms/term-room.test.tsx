import type { SourceView, TermEffect, TermView } from '@ivy/client';
import { act } from 'react';
import { BesideServer } from '../../../test/beside-server.js';
import { TermsPage } from './terms-page.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const field = (key: string, type: string) => ({
  ...{ key, label: key[0]!.toUpperCase() + key.slice(1), type, role: null, multiple: false, tree: true },
  ...{ separator: null, pathSeparator: null, filled: 9, distinct: 3, samples: [], spread: null },
});
const source = {
  ...{ slug: 'notes', name: 'Field notes', posts: 10, fileName: 'notes.csv', findings: [], rejected: [], site: null },
  fields: [field('habitat', 'terms'), field('minutes', 'number')],
} as unknown as SourceView;
const term = (slug: string, parent: string | null, count: number, more: Partial<TermView> = {}): TermView => ({
  ...{ slug, label: slug[0]!.toUpperCase() + slug.slice(1), parent, count, own: count, hidden: false },
  ...{ aliases: [], was: [], picture: null, colour: null, ...more },
});
const shore = [
  term('shore', null, 7, { own: 1 }),
  term('mud', 'shore', 4),
  term('sand', 'shore', 2),
  term('reed', null, 3),
];
const effect: TermEffect = {
  ...{ text: 'Mud into Sand', term: 'sand', posts: 4, before: 2, after: 5, filled: { before: 9, after: 9 } },
  lenses: [{ slug: 'all', name: 'All notes', facets: ['Habitat'] }],
};

async function drawn(terms: TermView[] = shore, changes: object[] = []) {
  page.answer('GET /sources/notes', source);
  page.answer('GET /sources/notes/terms/habitat', terms);
  page.answer('GET /sources/notes/terms/habitat/changes', changes);
  for (const { slug } of terms) {
    page.answer(`PATCH /sources/notes/terms/habitat/${slug}?preview=1`, { ...effect, text: '' });
    page.answer(`GET /sources/notes/posts?filter=habitat%3A${slug}&size=12`, {
      total: 0,
      page: 1,
      pages: 1,
      items: [],
    });
  }
  await page.visit(<TermsPage />, '/sources/notes/terms/habitat', '/sources/:slug/terms/:key');
}
const items = () => page.texts('[role=treeitem]');
const item = (slug: string) => page.element.querySelector<HTMLElement>(`[role=treeitem][data-slug=${slug}]`)!;
const focus = (slug: string) => act(() => item(slug).focus());
async function key(name: string, more: object = {}) {
  act(() => {
    const event = new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more });
    document.activeElement!.dispatchEvent(event);
  });
  await page.settle();
}
/** What was kept, looks left out. */
const kept = () => page.sent.filter(([what]) => !what.includes('preview=1'));
const later = () => act(() => new Promise((done) => setTimeout(done, 180)));

test('few terms stand on a branch, in rows if one likes, with what they count', async () => {
  await drawn();
  expect(items()).toEqual(['Shore7 1 own', 'Mud4', 'Sand2', 'Reed3']);
  expect(page.texts('h2')[0]).toBe('4 terms on 2 branches');
  await page.pressAndSettle('Rows');
  expect(items()[0]).toContain('Shore');
  expect(item('mud').getAttribute('aria-level')).toBe('2');
});

test('arrows walk the branch, and from branch to branch', async () => {
  await drawn();
  focus('shore');
  await key('ArrowRight');
  expect(document.activeElement).toBe(item('mud'));
  await key('ArrowDown');
  expect(document.activeElement).toBe(item('reed'));
  await key('Home');
  expect(document.activeElement).toBe(item('shore'));
  expect(page.texts('aside h2')[0]).toContain('Shore');
});

test('in rows a branch is folded by arrows, and found terms stand with what is above them', async () => {
  await drawn();
  await page.pressAndSettle('Rows');
  focus('shore');
  await key('ArrowLeft');
  expect(items()).toHaveLength(2);
  await key('ArrowRight');
  expect(items()).toHaveLength(4);
  page.type('Find a term', 'san');
  await page.settle();
  expect(items().map((text) => /^[A-Z][a-z]+/.exec(text)![0])).toEqual(['Shore', 'Sand']);
  page.type('Find a term', 'zebra');
  await page.settle();
  await page.pressAndSettle('Show all');
  expect(items()).toHaveLength(4);
});

test('Alt and arrows put a term elsewhere, H hides it', async () => {
  await drawn();
  page.answer('PATCH /sources/notes/terms/habitat/sand', effect);
  focus('sand');
  await key('ArrowUp', { altKey: true });
  await key('ArrowLeft', { altKey: true });
  await key('h');
  expect(kept()).toEqual([
    ['PATCH /sources/notes/terms/habitat/sand', { position: 0 }],
    ['PATCH /sources/notes/terms/habitat/sand', { parent: null, position: 1 }],
    ['PATCH /sources/notes/terms/habitat/sand', { hidden: true }],
  ]);
  // where there is nothing before it, nothing is asked
  focus('shore');
  await key('ArrowUp', { altKey: true });
  expect(kept()).toHaveLength(3);
});

test('M carries a term to another: what it comes to is told, Escape lets it be, Enter merges', async () => {
  await drawn();
  page.answer('POST /sources/notes/terms/habitat/merge?preview=1', effect);
  page.answer('POST /sources/notes/terms/habitat/merge', effect);
  focus('mud');
  await key('m');
  await key('ArrowRight');
  await later();
  const note = () => page.texts('[role=status].fixed').join();
  expect(note()).toContain('Enter to merge');
  expect(note()).toContain('2 → 5');
  expect(note()).toContain('4 posts move, 1 had both and count once.');
  expect(note()).toContain('All notes (Habitat)');
  await key('Escape');
  expect([note(), kept()]).toEqual(['', []]);
  focus('mud');
  await key('m');
  await key('ArrowRight');
  await key('Enter');
  expect(kept()).toEqual([['POST /sources/notes/terms/habitat/merge', { from: ['mud'], into: 'sand' }]]);
  expect(page.texts('[role=status]')[0]).toBe('Mud into Sand');
});

test('P carries it under another, and not under itself', async () => {
  await drawn();
  focus('shore');
  await key('p');
  await key('ArrowRight');
  expect(page.texts('[role=status].fixed')[0]).toContain('It can’t go there');
  await key('Enter');
  expect(kept()).toEqual([]);
});

test('a term is called otherwise, at another address too; a refusal is quoted', async () => {
  await drawn([term('mud-flat', null, 4, { label: 'Mudflats', aliases: ['mud'], was: ['mud'] })]);
  expect(page.words).toContain('Call it mudflats in addresses too');
  page.answer('PATCH /sources/notes/terms/habitat/mud-flat', { ...effect, term: 'mudflats' });
  await page.pressAndSettle('Call it mudflats in addresses too');
  expect(kept()).toEqual([['PATCH /sources/notes/terms/habitat/mud-flat', { slug: 'mudflats' }]]);
  const detail = '“shore” leads to a term already. Choose another.';
  page.answer('PATCH /sources/notes/terms/habitat/mud-flat', { code: 'slug-taken', detail }, 409);
  page.type('Slug', 'Shore');
  const slug = page.named('Slug');
  act(() => {
    slug.dispatchEvent(new FocusEvent('focusout', { bubbles: true }));
  });
  await page.settle();
  expect(page.texts('[role=status]')[0]).toBe(detail);
});

test('what deleting comes to is said first', async () => {
  await drawn();
  page.answer('DELETE /sources/notes/terms/habitat/sand?preview=1', { ...effect, term: null, posts: 2, after: 0 });
  page.answer('DELETE /sources/notes/terms/habitat/sand', { ...effect, term: null, text: 'Sand deleted' });
  focus('sand');
  await page.pressAndSettle('Delete Sand');
  await later();
  expect(page.words).toContain('2 posts lose it. What stands under it moves up.');
  await page.pressAndSettle('Delete');
  expect(kept().map(([what]) => what)).toEqual(['DELETE /sources/notes/terms/habitat/sand']);
});

test('a new term stands at the top, or under the one in hand', async () => {
  await drawn();
  page.answer('POST /sources/notes/terms/habitat', { ...effect, term: 'dune' });
  focus('reed');
  await key('n');
  page.type('Called', ' Dune ');
  page.press('under Reed');
  await page.pressAndSettle('Add');
  expect(kept()).toEqual([['POST /sources/notes/terms/habitat', { label: 'Dune', parent: 'reed' }]]);
});

test('the newest change is undone, the one that was undone first done again', async () => {
  const change = (id: number, text: string, undone = false) => ({ id, text, undone, at: '2026-06-01T10:00:00Z' });
  await drawn(shore, [change(3, 'Reed hidden', true), change(2, 'Sand hidden'), change(1, 'Mud at the top')]);
  page.answer('POST /sources/notes/terms/habitat/undo', change(2, 'Sand hidden', true));
  page.answer('POST /sources/notes/terms/habitat/redo', change(3, 'Reed hidden'));
  await page.pressAndSettle('Undo Sand hidden');
  expect(page.texts('[role=status]')[0]).toBe('Undone: Sand hidden');
  await page.pressAndSettle('Do Reed hidden again');
  expect(page.texts('[role=status]')[0]).toBe('Done again: Reed hidden');
});

test('of thousands of terms those in sight are drawn, and the branch gives way', async () => {
  const many = Array.from({ length: 5000 }, (_, i) => term(`t${i}`, null, i % 9));
  await drawn(many.slice(0, 1).concat(many.slice(1)));
  expect(items().length).toBeLessThan(80);
  expect(page.texts('h2')[0]).toBe('5,000 terms');
  expect(page.texts('[role=group]')).toEqual([]);
});

test('a field that holds no terms says so, and one without any is no fault', async () => {
  page.answer('GET /sources/notes', source);
  await page.visit(<TermsPage />, '/sources/notes/terms/minutes', '/sources/:slug/terms/:key');
  expect(page.texts('[role=alert]')[0]).toContain('“Minutes” holds no terms.');
  page.close();
  page.open();
  await drawn([]);
  expect(page.words).toContain('No term yet.');
});
