import { scopeOf } from '../answer/scope.js';
import { eachBit } from '../engine/base/bits.js';
import { buildIndex } from '../engine/index/build.js';
import { plainField } from '../model/post.js';
import { checkLens } from './check.js';
import { lensForPage } from './for-page.js';
import { readLens, type Lens } from './lens.js';

const fields = [
  { ...plainField('type', 'Type'), type: 'terms' as const },
  { ...plainField('place', 'Place'), type: 'terms' as const },
  plainField('title', 'Title'),
];
const term = (slug: string, parent: string | null = null) => ({ slug, label: slug, parent });
const index = buildIndex({
  fields,
  taxonomies: { type: [term('walk'), term('talk')], place: [term('coast'), term('north', 'coast'), term('inland')] },
  posts: [
    { id: 'a', values: { type: ['walk'], place: ['north'] } },
    { id: 'b', values: { type: ['walk'], place: ['inland'] } },
    { id: 'c', values: { type: ['talk'], place: ['north'] } },
    { id: 'd', values: { type: ['walk'], place: ['coast'] } },
  ],
});
function lensWith(config: object): Lens {
  const read = readLens({ facets: [{ key: 'kind', kind: 'checkboxes', field: 'type' }], ...config });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
const postsOf = (lens: Lens | string): string[] => {
  if (typeof lens === 'string') throw new Error(lens);
  const ids: string[] = [];
  eachBit(scopeOf(index, lens.scope), (post) => {
    ids.push(index.idOf(post));
  });
  return ids.sort();
};
const none = { prefix: null, scope: '', driven: '', languages: [] };

test('posts that have all the terms are there, those below a term with it', () => {
  const lens = lensWith({});
  expect(postsOf(lensForPage(lens, fields, { ...none, scope: 'type:walk' }))).toEqual(['a', 'b', 'd']);
  expect(postsOf(lensForPage(lens, fields, { ...none, scope: ' type:walk , place:coast' }))).toEqual(['a', 'd']);
  expect(postsOf(lensForPage(lens, fields, { ...none, scope: 'type:swim' }))).toEqual([]);
  expect(postsOf(lensForPage(lens, fields, none))).toEqual(['a', 'b', 'c', 'd']);
});

test('a facet may stand for its field', () => {
  expect(postsOf(lensForPage(lensWith({}), fields, { ...none, scope: 'kind:talk' }))).toEqual(['c']);
});

test('a page narrows what the lens lets in, and never adds to it', () => {
  // posts without a day stand by id: a and b are the first two
  const lens = lensWith({ scope: { limit: 2 } });
  expect(postsOf(lensForPage(lens, fields, { ...none, scope: 'place:coast' }))).toEqual(['a']);
});

test('a prefix is the page’s', () => {
  const lens = lensForPage(lensWith({ address: { prefix: 'a-' } }), fields, { ...none, prefix: 'b-' });
  expect(lens).toMatchObject({ address: { prefix: 'b-' } });
  expect(lensForPage(lensWith({ address: { prefix: 'a-' } }), fields, { ...none, prefix: '' })).toMatchObject({
    address: { prefix: '' },
  });
});

test.each([
  [{ ...none, prefix: 'B&' }, /^A prefix/],
  [{ ...none, scope: 'walk' }, /“walk” is no condition/],
  [{ ...none, scope: 'colour:red' }, /“colour:red” is no condition/],
  [{ ...none, scope: 'title:a' }, /“title:a” is no condition/],
  [{ ...none, scope: 'type:walk,'.repeat(21) }, /20 conditions/],
])('%j is refused in words', (own, words) => {
  expect(lensForPage(lensWith({}), fields, own)).toMatch(words);
});

test('what is chosen in lenses it follows narrows it by any of the terms, each field on its own', () => {
  const follows = [
    { lens: 'notes', facet: 'where', field: 'place' },
    { lens: 'notes', facet: 'what', field: 'type' },
  ];
  const lens = lensWith({ follows });
  const driven = (choices: string) => lensForPage(lens, fields, { ...none, driven: choices });
  expect(postsOf(driven('place:coast'))).toEqual(['a', 'c', 'd']);
  expect(postsOf(driven('place:north,inland;type:walk'))).toEqual(['a', 'b']);
  // what the posts here never have is met by none of them
  expect(postsOf(driven('place:elsewhere'))).toEqual([]);
  // a page that knows an older release may say what is not followed any more, and more than there is to follow
  expect(postsOf(driven('title:a'))).toEqual(['a', 'b', 'c', 'd']);
  expect(postsOf(driven('gone;place:north;type:walk'))).toEqual(['a', 'c']);
  expect(postsOf(lensForPage(lensWith({}), fields, { ...none, driven: 'place:coast' }))).toHaveLength(4);
});

test('a lens follows, and shows where nothing is found, by fields of terms alone', () => {
  const lens = lensWith({
    follows: [{ lens: 'notes', facet: 'where', field: 'title' }],
    nothing: {
      show: 'posts',
      where: [
        { field: 'title', is: ['a'] },
        { field: 'place', is: ['coast'] },
      ],
    },
  });
  expect(checkLens(lens, fields).map(({ pointer }) => pointer)).toEqual(['/follows/0/field', '/nothing/where/0/field']);
});
