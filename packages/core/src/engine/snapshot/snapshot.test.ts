import fc from 'fast-check';
import { asked, collection } from '../../../test/arbitrary.js';
import { largeCollection } from '../../../test/large.js';
import { answer } from '../../answer/answer.js';
import { buildIndex } from '../index/build.js';
import { finished } from '../base/steps.js';
import type { Post } from '../../model/post.js';
import { DamagedSnapshot } from './bytes.js';
import { readSnapshot, writeSnapshot } from './snapshot.js';

test('an index that was kept answers as the one it was kept from, and gives the same posts', () => {
  fc.assert(
    fc.property(asked, ({ collection: posts, query }) => {
      const index = buildIndex(posts);
      const before = answer(index, query);
      const read = finished(readSnapshot(finished(writeSnapshot(index))));
      expect(read.texts.length).toBe(index.texts.length);
      expect(answer(read, query)).toEqual(before);
      expect(allPosts(read)).toEqual(allPosts(index));
      expect(new Map(allPosts(read).map((post) => [post.id, post.values]))).toEqual(
        new Map(posts.posts.map((post) => [post.id, filled(post)])),
      );
    }),
    { numRuns: 150 },
  );
});

test('bytes that are damaged anywhere are refused, never read wrongly', () => {
  fc.assert(
    fc.property(collection, fc.nat(), fc.integer({ min: 1, max: 255 }), (posts, at, change) => {
      const bytes = finished(writeSnapshot(buildIndex(posts)));
      bytes[at % bytes.length]! ^= change;
      expect(() => finished(readSnapshot(bytes))).toThrow(DamagedSnapshot);
    }),
    { numRuns: 300 },
  );
});

test('bytes that are cut short, or of something else, are refused', () => {
  const bytes = finished(writeSnapshot(buildIndex({ fields: [], taxonomies: {}, posts: [] })));
  expect(finished(readSnapshot(bytes)).size).toBe(0);
  for (const length of [0, 8, 20, bytes.length - 8, bytes.length - 1]) {
    expect(() => finished(readSnapshot(bytes.slice(0, length)))).toThrow('cut short');
  }
  expect(() => finished(readSnapshot(new Uint8Array(64)))).toThrow('not a snapshot');
  const other = bytes.slice();
  other[4]! += 1;
  expect(() => finished(readSnapshot(other))).toThrow('of version');
});

test('bytes that do not start at a multiple of eight are read all the same', () => {
  const bytes = finished(writeSnapshot(buildIndex({ fields: [], taxonomies: {}, posts: [{ id: 'a', values: {} }] })));
  const moved = new Uint8Array(bytes.length + 3);
  moved.set(bytes, 3);
  expect(finished(readSnapshot(moved.subarray(3))).idOf(0)).toBe('a');
});

test('what an index gets while it is written is not in it, and harms nothing', () => {
  const posts = largeCollection(300);
  const expected = finished(writeSnapshot(buildIndex(posts, 0)));
  const index = buildIndex(posts, 0);
  const steps = writeSnapshot(index);
  steps.next();
  // columns take the store's own arrays over, and a search makes words
  for (const { key } of posts.fields.slice(0, 4)) index.column(key);
  index.text([{ key: 'title', weight: 1 }]);
  expect(finished(steps)).toEqual(expected);
});

/** The values of a post, but for empty texts: those are no value. */
function filled({ values }: Post): Post['values'] {
  return Object.fromEntries(Object.entries(values).filter(([, value]) => value !== ''));
}

function allPosts(index: ReturnType<typeof buildIndex>) {
  return Array.from({ length: index.size }, (_, p) => index.postAt(p));
}
