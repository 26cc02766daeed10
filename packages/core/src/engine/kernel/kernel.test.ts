import fc from 'fast-check';
import {
  andBits,
  countBits,
  countShared,
  emptyBits,
  listBits,
  orInto,
  setBit,
  withoutBits,
  wordsOf,
} from '../base/bits.js';
import { Arena } from './arena.js';
import { makeKernel } from './kernel.js';

const size = 1500;
const set = fc.array(fc.nat({ max: size - 1 }), { maxLength: 400 }).map((posts) => {
  const bits = emptyBits(size);
  for (const post of posts) setBit(bits, post);
  return bits;
});
const bytes = wordsOf(size) * 4;
const { kernel, buffer } = makeKernel(bytes * 20)!;
const place = (at: number) => new Int32Array(buffer, at * bytes, wordsOf(size));

test('sets are joined and counted as the plain loops do', () => {
  fc.assert(
    fc.property(set, set, (a, b) => {
      place(0).set(a);
      place(1).set(b);
      const either = a.slice();
      orInto(either, b);
      for (const [join, expected] of [
        [kernel.and, andBits(a, b)],
        [kernel.without, withoutBits(a, b)],
        [kernel.or, either],
      ] as const) {
        expect(join(0, bytes, 2 * bytes, bytes)).toBe(countBits(expected));
        expect(place(2)).toEqual(expected);
      }
    }),
  );
});

test('what a set shares with each of many sets and lists is counted as the plain loops do', () => {
  fc.assert(
    fc.property(set, fc.array(set, { maxLength: 10 }), (a, sets) => {
      const arena = new Arena(size, 200_000);
      const kept = arena.keep(sets.length * wordsOf(size))!;
      sets.forEach((one, i) => kept.set(one, i * wordsOf(size)));
      const lists = sets.map((one) => [...Array(size).keys()].filter((p) => (one[p >>> 5]! >>> (p & 31)) & 1));
      const all = arena.keep(lists.flat().length)!;
      all.set(lists.flat());
      const ends = arena.keep(lists.length)!;
      let end = all.byteOffset;
      lists.forEach((list, i) => (ends[i] = end += list.length * 4));
      const expected = sets.map((one) => countShared(a, one));
      arena.during(() => {
        expect([...arena.shared(a, kept)!]).toEqual(expected);
        expect([...arena.listed(a, all, ends)!]).toEqual(expected);
      });
    }),
    { numRuns: 50 },
  );
});

test('posts are listed, and counted by the numbers they have, as the plain loops do', () => {
  const numbers = fc.array(fc.nat({ max: 9 }), { minLength: size, maxLength: size });
  fc.assert(
    fc.property(set, numbers, (a, of) => {
      const arena = new Arena(size, 100_000);
      const one = arena.adopt(Uint16Array.from(of, (n) => (n === 9 ? 0xffff : n)));
      // post p has as many numbers as its own number says, from it upwards
      const starts = arena.adopt(Uint32Array.from({ length: size + 1 }, (_, p) => sumOf(of.slice(0, p))));
      const many = arena.adopt(Uint16Array.from(of.flatMap((n) => Array.from({ length: n }, (_, i) => (n + i) % 7))));
      const expected = { one: new Array<number>(7).fill(0), many: new Array<number>(7).fill(0) };
      for (const post of listBits(a)) {
        if (of[post]! < 7) expected.one[of[post]!]!++;
        for (let i = starts[post]!; i < starts[post + 1]!; i++) expected.many[many[i]!]!++;
      }
      arena.during(() => {
        const list = arena.list(a, countBits(a))!;
        expect([...list]).toEqual([...listBits(a)]);
        arena.during(() => arena.take(300)!.fill(9));
        const ones = arena.histogram(list, arena.placed(one), -1, 7)!;
        const several = arena.histogram(listBits(a), arena.placed(many), starts.byteOffset, 7)!;
        expect([[...ones], [...several]]).toEqual([expected.one, expected.many]);
        expect(arena.histogram(list, arena.placed(Uint16Array.from(one)), -1, 7)).toBeNull();
      });
    }),
    { numRuns: 30 },
  );
});

test('posts are counted by the numbers in their rows, and those that have more are told, as the plain loops do', () => {
  // all numbers are below 6: the last tells of more, and may stand elsewhere too
  const number = fc.nat({ max: 5 });
  const rows = fc
    .constantFrom(8, 24)
    .chain((width) =>
      fc.array(fc.array(number, { minLength: width, maxLength: width }), { minLength: 40, maxLength: 40 }),
    );
  fc.assert(
    fc.property(rows, fc.array(fc.nat({ max: 39 }), { maxLength: 300 }), (of, posts) => {
      const arena = new Arena(size, 100_000);
      const values = arena.adopt(Uint16Array.from(of.flat()));
      const width = of[0]!.length;
      const expected = Array.from({ length: 6 }, (_, n) =>
        sumOf(posts.map((p) => of[p]!.filter((m) => m === n).length)),
      );
      const long = posts.filter((p) => of[p]![width - 1] === 5);
      arena.during(() => {
        arena.during(() => arena.take(2000)!.fill(9));
        const list = Uint32Array.from(posts);
        const found = arena.countRows(list, arena.placed(values), width, 6, posts.length)!;
        expect([[...found.counts], [...found.long]]).toEqual([expected, long]);
        expect(arena.countRows(list, -1, width, 6, 40)).toBeNull();
      });
    }),
    { numRuns: 60 },
  );
});

test('lists are kept in a set, put into one, and counted up to some posts, as the plain loops do', () => {
  const ends = fc.uniqueArray(fc.nat({ max: size }), { maxLength: 12 }).map((all) => all.sort((x, y) => x - y));
  fc.assert(
    fc.property(set, set, ends, (a, b, upTo) => {
      const arena = new Arena(size, 0);
      const list = listBits(b);
      arena.during(() => {
        const shared = [...listBits(andBits(a, b))];
        expect([...arena.keepIn(list, a)!]).toEqual(shared);
        expect([...arena.placesIn(list, a)!]).toEqual(shared.map((post) => list.indexOf(post)));
        const both = arena.copy(a)!;
        expect(arena.mark(both, list)).toBe(true);
        const either = a.slice();
        orInto(either, b);
        expect(both).toEqual(either);
        expect(arena.count(both)).toBe(countBits(either));
        const before = upTo.map((end) => listBits(a).filter((post) => post < end).length);
        expect([...arena.before(a, Uint32Array.from(upTo))!]).toEqual(before);
      });
    }),
    { numRuns: 100 },
  );
});

test('the counts that are not 0 are found, and what lies after them is not taken for one', () => {
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 2 }), { maxLength: 70 }), (numbers) => {
      const arena = new Arena(size, 0);
      arena.during(() => arena.take(200)!.fill(9));
      arena.during(() => {
        const counts = Arena.zeros(arena, numbers.length);
        counts.set(numbers);
        const expected = [...numbers.keys()].filter((i) => numbers[i]! > 0);
        expect([...arena.found(counts)!].filter((place) => place < numbers.length)).toEqual(expected);
        expect(arena.found(new Uint32Array(3))).toBeNull();
      });
    }),
  );
});

const sumOf = (numbers: readonly number[]) => numbers.reduce((sum, n) => sum + n, 0);

test('a popcount of full sets does not run over', () => {
  const big = 3_000_000;
  const arena = new Arena(big, 3 * wordsOf(big) * 4);
  const full = arena.keep(wordsOf(big))!.fill(-1);
  arena.during(() => {
    expect(arena.and(full, full)!.count).toBe(wordsOf(big) * 32);
    expect([...arena.shared(full, full)!]).toEqual([wordsOf(big) * 32]);
  });
});

describe('an arena', () => {
  test('gives scratch only during an answer, and gives the same again at the next', () => {
    const arena = new Arena(size, 1000);
    expect(arena.take(10)).toBeNull();
    const first = arena.during(() => arena.take(10)!.byteOffset);
    expect(arena.during(() => arena.take(10)!.byteOffset)).toBe(first);
    arena.during(() => {
      const outer = arena.take(10)!;
      arena.during(() => arena.take(10)!.fill(7));
      expect(arena.take(10)!.byteOffset).toBeGreaterThan(outer.byteOffset);
    });
  });

  test('says so when there is no room left, and new memory is used', () => {
    const arena = new Arena(size, 1000);
    expect(arena.keep(100_000)).toBeNull();
    arena.during(() => {
      expect(arena.take(1_000_000)).toBeNull();
      expect(Arena.zeros(arena, 1_000_000)).toHaveLength(1_000_000);
      while (arena.take(wordsOf(size)));
      expect(arena.and(emptyBits(size), emptyBits(size))).toBeNull();
    });
  });

  test('zeroes counts that were something else before', () => {
    const arena = new Arena(size, 0);
    arena.during(() => arena.take(50)!.fill(9));
    arena.during(() => expect([...Arena.zeros(arena, 50)]).toEqual(Array(50).fill(0)));
  });

  test('keeps what was taken last only as far as it is used', () => {
    const arena = new Arena(size, 0);
    arena.during(() => {
      const long = Arena.numbers(arena, 500);
      expect(Arena.first(arena, long, 3)).toHaveLength(3);
      const next = Arena.numbers(arena, 1);
      expect(next.byteOffset).toBe(long.byteOffset + 64);
    });
  });
});
