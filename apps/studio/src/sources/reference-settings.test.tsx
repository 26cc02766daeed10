import type { Reference } from '@ivy/core';
import { BesideServer } from '../../test/beside-server.js';
import { ReferenceSettings } from './reference-settings.js';

const page = new BesideServer();
beforeEach(() => page.open());
afterEach(() => page.close());

const said: Reference[] = [];
async function drawn(reference: Reference | null = null) {
  said.length = 0;
  await page.visit(<ReferenceSettings own="walks" reference={reference} onChange={(one) => said.push(one)} />, '/');
}

test('where there is no other source, it says what is missing', async () => {
  page.answer('GET /sources', [{ slug: 'walks', name: 'Walks' }]);
  await drawn();
  expect(page.words).toContain('There is no other source yet.');
});

test('a reference is told once all of it is said: the source, its key, and what is shown', async () => {
  page.answer('GET /sources', [
    { slug: 'walks', name: 'Walks' },
    { slug: 'wardens', name: 'Wardens' },
  ]);
  page.answer('GET /sources/wardens', {
    fields: [
      { key: 'no', label: 'No' },
      { key: 'who', label: 'Who' },
    ],
  });
  await drawn();
  expect(page.texts('option')).toEqual(['choose a source', 'Wardens']);
  page.type('Posts of', 'wardens');
  await page.settle();
  page.type('Known by', 'no');
  expect(said).toEqual([]);
  page.type('Shown as', 'who');
  expect(said).toEqual([{ source: 'wardens', key: 'no', label: 'who' }]);
});

test('what was said before stands there, and another key is told at once', async () => {
  page.answer('GET /sources', [
    { slug: 'walks', name: 'Walks' },
    { slug: 'wardens', name: 'Wardens' },
  ]);
  page.answer('GET /sources/wardens', {
    fields: [
      { key: 'no', label: 'No' },
      { key: 'who', label: 'Who' },
    ],
  });
  await drawn({ source: 'wardens', key: 'no', label: 'who' });
  expect(page.named<HTMLSelectElement>('Known by').value).toBe('no');
  page.type('Known by', 'who');
  expect(said).toEqual([{ source: 'wardens', key: 'who', label: 'who' }]);
});
