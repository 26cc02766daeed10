import { finished } from '../base/steps.js';
import fc from 'fast-check';
import { field } from '../../../test/arbitrary.js';
import { largeCollection } from '../../../test/large.js';
import { buildIndex } from '../index/build.js';
import { numbersIn, RowCounts, type RowColumn } from './post-rows.js';
import { PostSet } from '../sets/post-set.js';
import { countTermsOf, type TermColumn } from './term-column.js';

const large = largeCollection(400);
/** Now and then a post with more terms than goes into a row that is long enough for the others. */
const crowded = { tags: Array.from({ length: 30 }, (_, t) => `t${t * 2}`), place: ['p5', 'p9', 'p21', 'p22', 'p39'] };
const collection = {
  ...large,
  posts: large.posts.map((post, i) => (i % 40 === 7 ? { ...post, values: { ...post.values, ...crowded } } : post)),
};
const { size } = buildIndex(collection);

/** The posts that have a number, found by what a column keeps for other ends than counting. */
function postsWith(column: RowColumn, number: number): (post: number) => boolean {
  if ('ranks' in column) return (post) => column.ranks[post] === number;
  const { sets, postings } = column;
  const set = sets[number];
  return set ? (post) => ((set[post >>> 5]! >>> (post & 31)) & 1) === 1 : (post) => postings[number]!.includes(post);
}

test('counts by rows are those of each column, whatever was put in rows before', () => {
  const index = buildIndex(collection, 0);
  const columns: RowColumn[] = [
    ...['tags', 'place', 'open', 'kind'].map((key) => index.column(key)),
    index.numbers('minutes'),
  ];
  const some = fc.tuple(fc.subarray(columns, { minLength: 1 }), fc.uniqueArray(fc.nat({ max: size - 1 })));
  let inRows = 0;
  fc.assert(
    fc.property(some, ([asked, posts]) => {
      finished(index.prepareRows(asked));
      const rows = index.rows!;
      expect(asked.every((column) => rows.places.has(column))).toBe(true);
      const list = Uint32Array.from(posts).sort();
      for (const arena of [index.arena!, null]) {
        const work = () => {
          const counts = new RowCounts(rows, PostSet.ofList(size, list), arena);
          for (const [column, place] of rows.places) {
            const expected = Array.from(
              { length: numbersIn(column) },
              (_, n) => posts.filter(postsWith(column, n)).length,
            );
            expect([...counts.of(place)]).toEqual(expected);
            // asked for again, they are the same
            expect([...counts.of(place)]).toEqual(expected);
          }
        };
        if (arena) arena.during(work);
        else work();
      }
      inRows = rows.places.size;
    }),
    { numRuns: 60 },
  );
  expect(inRows).toBe(columns.length);
  expect([index.rows!.width, index.rows!.long.size]).toEqual([16, 10]);
});

test('a column whose rows were given up is still counted by', () => {
  const index = buildIndex(collection, 0);
  const place = index.column('place');
  finished(index.prepareRows([place]));
  expect(place.rows).toBeNull();
  const every = PostSet.ofList(
    size,
    Uint32Array.from({ length: size }, (_, p) => p),
  );
  for (const arena of [null, index.arena]) {
    expect([...countTermsOf({ ...place, packed: arena && place.packed }, every, arena)]).toEqual([...place.sizes]);
  }
});

test('rows that are made anew and anew leave columns their room', () => {
  const index = buildIndex(collection, 0);
  const columns = ['tags', 'kind', 'open', 'place'].map((key) => index.column(key));
  const inArena: boolean[] = [];
  for (let round = 0; round < 12; round++) {
    // a column of its own each time, as if a lens had taken up a further field
    finished(
      index.prepareRows([
        { ...columns[round % 4]!, rows: columns[round % 4]!.rows ?? buildIndex(collection).column('kind').rows },
      ]),
    );
    inArena.push(index.rows!.at >= 0);
  }
  expect([inArena[0], inArena[11]]).toEqual([true, false]);
  expect(index.numbers('minutes').ranksAt).toBeGreaterThanOrEqual(0);
});

test('what 16 bits can’t tell is counted a column at a time', () => {
  const posts = Array.from({ length: 66_000 }, (_, i) => ({
    id: `n${i}`,
    values: { code: `c${i}`, open: i % 3 === 0 },
  }));
  const index = buildIndex({ fields: [field('code', 'text'), field('open', 'boolean')], taxonomies: {}, posts });
  const columns: TermColumn[] = [index.column('code'), index.column('open')];
  finished(index.prepareRows(columns));
  expect(index.rows).toBeNull();
  const first = PostSet.ofList(index.size, Uint32Array.of(0, 1, 2, 3));
  const [codes, flags] = index.arena!.during(() =>
    columns.map((column) => [...countTermsOf(column, first, index.arena)].filter((count) => count > 0)),
  );
  expect(codes).toEqual([1, 1, 1, 1]);
  const having = (flag: boolean) => [0, 1, 2, 3].filter((post) => index.valueOf(post, 'open') === flag).length;
  expect(flags).toEqual([having(true), having(false)]);
});
