import { finished } from '../base/steps.js';
import fc from 'fast-check';
import { PostSet } from '../sets/post-set.js';
import { Arena } from '../kernel/arena.js';
import { rankByRelevance } from './relevance.js';
import { search } from './search.js';
import { indexTexts } from './text-index.js';

const words = ['tern', 'terns', 'ternery', 'mud', 'muddy', 'gull', 'low', 'tide'];
const size = 600;

// two fields a post, so that a hit in the first weighs three times as much
function indexOf(size: number) {
  let seed = 7;
  const next = (below: number) => (seed = (seed * 48_271) % 0x7fffffff) % below;
  const texts = Array.from({ length: size }, () =>
    [1 + next(4), next(12)].map((length) => Array.from({ length }, () => words[next(words.length)]).join(' ')),
  );
  return finished(
    indexTexts(size, [
      { weight: 3, read: (post) => texts[post]![0]! },
      { weight: 1, read: (post) => texts[post]![1]! },
    ]),
  );
}
const index = indexOf(size);
const byNumber = (a: number, b: number) => a - b;
const searches = ['tern', 'ter mud', 'tern gull tide', '"low tide" ter', 'gulk', 'mud -tern'];
const some = fc.uniqueArray(fc.nat({ max: size - 1 }), { minLength: 1, maxLength: 5 });

test.each(searches)(
  'the few posts searched for “%s” stand as they do among all: read one by one or along words',
  (text) => {
    const found = search(index, text, 'any');
    const whole = finished(rankByRelevance(index, found, found.posts, size, byNumber, null));
    expect([...whole].sort(byNumber)).toEqual([...found.posts.list]);
    fc.assert(
      fc.property(some, (posts) => {
        const few = PostSet.ofList(size, Uint32Array.from(posts).sort()).and(found.posts);
        const expected = whole.filter((post) => few.list.includes(post));
        expect(finished(rankByRelevance(index, found, few, size, byNumber, null))).toEqual(expected);
      }),
      { numRuns: 60 },
    );
  },
);

test('the first few are the beginning of them all, with a kernel and without', () => {
  const arena = new Arena(size, 0);
  fc.assert(
    fc.property(fc.constantFrom(...searches), fc.integer({ min: 0, max: 210 }), (text, first) => {
      const found = search(index, text, 'any');
      const whole = finished(rankByRelevance(index, found, found.posts, size, byNumber, null));
      expect(finished(rankByRelevance(index, found, found.posts, first, byNumber, null))).toEqual(
        whole.slice(0, first),
      );
      const beside = arena.during(() => finished(rankByRelevance(index, found, found.posts, first, byNumber, arena)));
      expect(beside).toEqual(whole.slice(0, first));
    }),
  );
});

test('a word with more posts than are looked at in one go is weighed in all of them', () => {
  const many = 9000;
  const large = indexOf(many);
  const arena = new Arena(many, 0);
  const found = search(large, 'ter mud', 'any');
  const whole = finished(rankByRelevance(large, found, found.posts, many, byNumber, null));
  expect(arena.during(() => finished(rankByRelevance(large, found, found.posts, many, byNumber, arena)))).toEqual(
    whole,
  );
  // few at a time, they are read one by one
  for (let i = 0; i < found.posts.count; i += 60) {
    const few = found.posts.list.subarray(i, i + 60);
    const expected = whole.filter((post) => post >= few[0]! && post <= few.at(-1)!);
    expect(finished(rankByRelevance(large, found, PostSet.ofList(many, few), many, byNumber, null))).toEqual(expected);
  }
});
