import { buildIndex } from '../engine/index/build.js';
import { readLens } from '../lens/lens.js';
import { plainField } from '../model/post.js';
import { dryRun } from './dry-run.js';

const fields = [{ ...plainField('title', 'Title'), role: 'title' as const }, plainField('summary', 'Summary')];
const posts = [
  { id: 'a', values: { title: 'Terns', summary: 'A day' } },
  { id: 'b', values: { title: 'A day', summary: 'Terns, terns and terns' } },
  { id: 'c', values: { title: 'Waders', summary: 'Eels' } },
];
const index = buildIndex({ fields, taxonomies: {}, posts });
function movesOf(weights: object, address: string, size = 12) {
  const read = readLens({
    facets: [{ key: 'q', kind: 'search', fields: ['title', 'summary'], weights }],
    paging: { size },
  });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return dryRun(index, read.value, { name: 'Notes', source: 'notes' }, address, 0).moves.q;
}

test('posts of the first page are told with where they would stand by the usual weights', () => {
  expect(movesOf({ summary: 20 }, 'q=terns')).toEqual([
    { id: 'b', title: 'A day', before: 2 },
    { id: 'a', title: 'Terns', before: 1 },
  ]);
  expect(movesOf({ summary: 20 }, 'q=terns', 1)).toEqual([{ id: 'b', title: 'A day', before: null }]);
});

test('nothing is told by the usual weights, or while nothing is searched, or on a later page', () => {
  expect(movesOf({}, 'q=terns')).toBeUndefined();
  expect(movesOf({ summary: 20 }, '')).toBeUndefined();
  expect(movesOf({ summary: 20 }, 'q=terns&page=2', 1)).toBeUndefined();
});
