import { belongsTo } from '../../runtime/test/belongs.js';
import type { Reply, Transport } from '../../runtime/src/listing/transport.js';
import { putOn, shelfOf, ShelfTransport } from './shelf.js';

const { signal } = new AbortController();
/** One that says which lens it answers for, and what it was asked. */
const answering = (lens: string): Transport => ({
  ask: (address) => Promise.resolve({ known: `${lens} ${address}` } as Reply),
  find: (facet) => Promise.resolve({ facet } as never),
});

test('scripts of a page share one shelf, and leave it no further name', () => {
  const page = { document: 1 };
  putOn(shelfOf(page), 'notes', () => answering('notes'));
  expect(shelfOf(page).lenses.has('notes')).toBe(true);
  expect(Object.keys(page)).toEqual(['document']);
});

test('a lens that a later script brings is waited for', async () => {
  const shelf = shelfOf({});
  // a picture that never comes keeps nobody waiting
  const walks = new ShelfTransport(shelf, belongsTo('walks'), () => new Promise(() => {}));
  const asked = walks.ask('kind=coast', signal);
  putOn(shelf, 'notes', () => answering('notes'));
  putOn(shelf, 'walks', () => answering('walks'));
  expect((await asked).known).toBe('walks kind=coast');
  expect(await walks.find('kind', 'co', '', signal)).toEqual({ facet: 'kind' });
});

test('a lens that nobody brought is refused with those that are there', async () => {
  const shelf = shelfOf({});
  putOn(shelf, 'notes', () => answering('notes'));
  const nobody = new ShelfTransport(shelf, belongsTo('nobody'), () => Promise.resolve());
  await expect(nobody.ask('', signal)).rejects.toThrow('No script here brings “nobody” along; there is “notes”.');
});
