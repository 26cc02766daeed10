import fc from 'fast-check';
import { Arena } from '../kernel/arena.js';
import { bitsOf, listBits } from '../base/bits.js';
import { PostSet } from './post-set.js';

const size = 100;
const posts = fc.uniqueArray(fc.nat({ max: size - 1 })).map((list) => Uint32Array.from(list.sort((a, b) => a - b)));
const forms: Record<string, (list: Uint32Array) => PostSet> = {
  bits: (list) => PostSet.ofBits(size, bitsOf(size, list)),
  list: (list) => PostSet.ofList(size, list),
  both: (list) => {
    const set = PostSet.ofBits(size, bitsOf(size, list));
    expect([...set.list]).toEqual([...list]);
    return set;
  },
};

test.each(Object.keys(forms).flatMap((a) => Object.keys(forms).map((b) => [a, b] as const)))(
  'two sets share the same posts, whether they come as %s or as %s',
  (a, b) => {
    fc.assert(
      fc.property(posts, posts, (x, y) => {
        const shared = forms[a]!(x).and(forms[b]!(y));
        const expected = [...x].filter((post) => y.includes(post));
        expect([...shared.list]).toEqual(expected);
        expect(shared.count).toBe(expected.length);
        expect([...listBits(shared.bits)]).toEqual(expected);
      }),
      { numRuns: 100 },
    );
  },
);

test('the posts in any of some sets, few or many, are each there once', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.constantFrom(...Object.keys(forms)), posts)), (sets) => {
      const expected = [...new Set(sets.flatMap(([, list]) => [...list]))].sort((a, b) => a - b);
      const all = PostSet.union(
        size,
        sets.map(([form, list]) => forms[form]!(list)),
      );
      expect([...all.list]).toEqual(expected);
    }),
  );
  const few = [[3, 70], [3], []].map((list) => PostSet.ofList(size, Uint32Array.from(list)));
  expect([...PostSet.union(size, few).list]).toEqual([3, 70]);
});

test('what is joined in an arena is the same, and outlives it once it is settled', () => {
  const many = 3000;
  const sets = fc.array(fc.uniqueArray(fc.nat({ max: many - 1 }), { maxLength: 600 }), { minLength: 2, maxLength: 4 });
  fc.assert(
    fc.property(sets, (lists) => {
      const arena = new Arena(many, 0);
      const [first, ...others] = lists.map((list) => PostSet.ofUnsorted(many, Uint32Array.from(list)));
      const plain = others.reduce((all, other) => all.and(other), first!);
      const either = PostSet.union(many, [first!, ...others]);
      const kept = arena.during(() => {
        const inArena = lists.map((list) => PostSet.ofUnsorted(many, Uint32Array.from(list), arena));
        const all = inArena.slice(1).reduce((a, b) => a.and(b, arena), inArena[0]!);
        return [all.settled(arena), PostSet.union(many, inArena, arena).settled(arena)];
      });
      arena.during(() => arena.take(1000)!.fill(-1));
      expect(kept.map((one) => [one.count, ...one.list])).toEqual(
        [plain, either].map((one) => [one.count, ...one.list]),
      );
    }),
  );
});
