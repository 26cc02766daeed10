import { buildIndex } from '../engine/index/build.js';
import { readLens } from '../lens/lens.js';
import { plainField, type Post } from '../model/post.js';
import { specimensOf } from './specimens.js';

const fields = [
  { ...plainField('title', 'Title'), role: 'title' as const },
  { ...plainField('image', 'Image'), type: 'image' as const, role: 'image' as const },
  { ...plainField('place', 'Place'), type: 'terms' as const, multiple: true },
  plainField('summary', 'Summary'),
];
const term = (slug: string) => ({ slug, label: slug, parent: null });
const posts: Post[] = [
  {
    id: 'long',
    values: { title: 'Notes toward one way of counting terns', image: '/a.jpg', place: ['bar'], summary: 'x' },
  },
  { id: 'bare', values: { title: 'Otter' } },
  { id: 'many', values: { title: 'Dawn', image: '/b.jpg', place: ['bar', 'mud', 'spit'] } },
  { id: 'words', values: { title: 'Slipway', summary: 'Shut', place: ['mud'] } },
  { id: 'arabic', values: { title: 'عدّ الطيور', image: '/c.jpg', place: ['mud', 'bar'] } },
];
const index = buildIndex({ fields, taxonomies: { place: ['bar', 'mud', 'spit'].map(term) }, posts });

function found(config: object): Record<string, string> {
  const read = readLens(config);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return Object.fromEntries(specimensOf(index, read.value).map(({ kind, item }) => [kind, item.id]));
}
const card = {
  parts: [
    { show: 'picture', field: 'image' },
    { show: 'title', field: 'title' },
    { show: 'text', field: 'summary' },
    { show: 'terms', field: 'place' },
  ],
};

test('the posts that strain a card most are found, one of each kind', () => {
  expect(found({ card })).toEqual({
    'longest-title': 'long',
    // of those without a picture the one with most else, so that what moves up is seen
    'no-picture': 'words',
    'most-terms': 'many',
    'right-to-left': 'arabic',
    'title-only': 'bare',
  });
});

test('what the card does not show strains nothing, and posts out of scope are not looked at', () => {
  const parts = [{ show: 'title', field: 'title' }];
  expect(found({ card: { parts }, scope: { exclude: ['long', 'arabic'] } })).toEqual({
    'longest-title': 'words',
    'title-only': 'bare',
  });
});
