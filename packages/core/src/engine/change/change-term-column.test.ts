import { finished } from '../base/steps.js';
import fc from 'fast-check';
import { largeCollection } from '../../../test/large.js';
import type { Post } from '../../model/post.js';
import { buildIndex } from '../index/build.js';
import { changeIndex } from './change.js';
import type { PostIndex } from '../index/post-index.js';
import { PostSet } from '../sets/post-set.js';
import { countTermsOf, termsOfPost } from '../columns/term-column.js';

const large = largeCollection(600);
const keys = ['place', 'tags', 'kind', 'open'];

/** Posts that get the values of another, posts that are new with those of one there is, and posts that go. */
const change = fc.record({
  edited: fc.array(fc.tuple(fc.nat({ max: 599 }), fc.nat({ max: 599 })), { maxLength: 40 }),
  added: fc.array(fc.nat({ max: 599 }), { maxLength: 40 }),
  gone: fc.array(fc.nat({ max: 599 }), { maxLength: 40 }),
});

/** One term is on nearly all posts that came, so that it goes from a list to a set, or would go back. */
const crowd = (values: Post['values'], term: string | null): Post['values'] =>
  term === null ? values : { ...values, tags: [term], place: ['p5', 'p39'] };

function upsertOf({ edited, added }: { edited: [number, number][]; added: number[] }, term: string | null): Post[] {
  const valuesOf = (n: number) => crowd(large.posts[n]!.values, term);
  const posts = [
    ...edited.map(([to, from]) => ({ id: `n${to}`, values: valuesOf(from) })),
    ...added.map((from, i) => ({ id: `m${i}`, values: valuesOf(from) })),
  ];
  return [...new Map(posts.map((post) => [post.id, post])).values()];
}

/** All that a column tells, whatever it was made of. */
function described(index: PostIndex, key: string) {
  const column = index.column(key);
  const { sizes, postings, sets, rows, parents } = column;
  const all = Uint32Array.from({ length: index.size }, (_, p) => p).filter((p) => p % 3 > 0);
  const countIn = (arena: typeof index.arena) =>
    Array.from(countTermsOf(column, PostSet.ofList(index.size, all), arena));
  return {
    ...{ sizes, postings, sets, parents },
    counts: [countIn(null), index.arena!.during(() => countIn(index.arena))],
    rows: rows?.form === 'many' ? rowsWithSorted(rows) : rows,
    ofPost: Array.from({ length: index.size }, (_, p) => termsOfPost(column, p)),
  };
}

function rowsWithSorted({ starts, values }: { starts: Uint32Array; values: Uint16Array | Uint32Array }) {
  return Array.from({ length: starts.length - 1 }, (_, p) => values.slice(starts[p], starts[p + 1]).sort());
}

test('columns that were made are taken over as they would be built', () => {
  let kept = 0;
  const untouched = buildIndex(large, 0);
  const original = new Map(keys.map((key) => [key, described(untouched, key)]));
  fc.assert(
    fc.property(change, fc.option(fc.constantFrom('t40', 't89')), fc.boolean(), (changed, term, isInRows) => {
      const old = buildIndex(large, 0);
      for (const key of keys) old.column(key);
      if (isInRows) finished(old.prepareRows(keys.map((key) => old.column(key))));
      const before = keys.map((key) => old.column(key).sizes.slice());
      const upsert = upsertOf(changed, term);
      const remove = changed.gone.map((n) => `n${n}`).filter((id) => !upsert.some((post) => post.id === id));
      const now = changeIndex(old, { upsert, remove });
      kept += now.columns.size;
      const after = new Map(large.posts.map((post) => [post.id, post]));
      for (const id of remove) after.delete(id);
      for (const post of upsert) after.set(post.id, post);
      const built = buildIndex({ ...large, posts: [...after.values()] }, 0);
      for (const key of keys) expect(described(now, key)).toEqual(described(built, key));
      // and the old ones stay as they were
      expect(keys.map((key) => old.column(key).sizes)).toEqual(before);
      // changed back, they are what they were
      const first = new Map(large.posts.map((post) => [post.id, post]));
      const back = changeIndex(now, {
        upsert: large.posts.filter((post) => after.get(post.id) !== post),
        remove: [...after.keys()].filter((id) => !first.has(id)),
      });
      for (const key of keys) expect(described(back, key)).toEqual(original.get(key));
    }),
    { numRuns: 40 },
  );
  expect(kept).toBeGreaterThan(40);
});

test('a post that comes with a term twice stands under it once', () => {
  const old = buildIndex(large, 0);
  for (const key of keys) old.column(key);
  const twice: Post = { id: 'n1', values: { ...large.posts[1]!.values, tags: ['t3', 't5', 't3'] } };
  const now = changeIndex(old, { upsert: [twice], remove: [] });
  expect(now.columns.size).toBe(keys.length);
  const built = buildIndex({ ...large, posts: large.posts.map((post) => (post.id === 'n1' ? twice : post)) }, 0);
  for (const key of keys) expect(described(now, key)).toEqual(described(built, key));
});

test('a column whose terms moved is built anew', () => {
  const old = buildIndex(large, 0);
  for (const key of keys) old.column(key);
  // the last one to be numbered may stand at the top as well, under the same number
  const last = old.column('place').terms.at(-1)!;
  expect(last.parent).not.toBeNull();
  const place = large.taxonomies.place!.map((term) => (term.slug === last.slug ? { ...term, parent: null } : term));
  const now = changeIndex(old, { upsert: [large.posts[0]!], remove: [], taxonomies: { ...large.taxonomies, place } });
  expect([...now.columns.keys()]).toEqual(['tags', 'kind', 'open']);
  const built = buildIndex({ ...large, taxonomies: { ...large.taxonomies, place } }, 0);
  expect(described(now, 'place')).toEqual(described(built, 'place'));
});
