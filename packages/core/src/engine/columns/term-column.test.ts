import { finished } from '../base/steps.js';
import fc from 'fast-check';
import { Arena } from '../kernel/arena.js';
import type { Term } from '../../model/post.js';
import { field } from '../../../test/arbitrary.js';
import { termList, termListOf } from '../store/term-list.js';
import { narrowTerms } from '../store/values.js';
import { buildTermColumn, postsUnder } from './term-column.js';

/** Trees and flat lists, parents before children: each term hangs under one before it or stands at the top. */
const parents = fc.oneof(
  fc.array(fc.option(fc.nat(), { nil: null }), { minLength: 1, maxLength: 12 }),
  fc.array(fc.constant(null), { minLength: 1, maxLength: 40 }),
);
const termsOf = (above: readonly (number | null)[]): Term[] =>
  above.map((at, t) => ({ slug: `t${t}`, label: `t${t}`, parent: at === null || t === 0 ? null : `t${at % t}` }));

/** Terms of posts, the same one twice now and then, more than a few now and then, most often one. */
const rows = fc.array(
  fc.oneof(
    { weight: 4, arbitrary: fc.array(fc.nat(), { minLength: 1, maxLength: 1 }) },
    { weight: 3, arbitrary: fc.array(fc.nat(), { maxLength: 4 }) },
    { weight: 1, arbitrary: fc.array(fc.nat(), { minLength: 17, maxLength: 30 }) },
  ),
  { maxLength: 60 },
);

test('a post stands once under each term it carries and each above it', () => {
  fc.assert(
    fc.property(parents, rows, fc.boolean(), fc.boolean(), (above, carried, isUnique, isOnArena) => {
      const list = termList(termsOf(above));
      const numbers = carried
        .map((row) => row.map((n) => n % above.length))
        .map((row) => (isUnique ? [...new Set(row)] : row));
      const starts = Uint32Array.from([0, ...numbers.map((_, p) => numbers.slice(0, p + 1).flat().length)]);
      const values = narrowTerms(
        starts,
        Uint16Array.from(numbers.flat()),
        Math.max(0, ...numbers.map((r) => r.length)),
      );
      const size = numbers.length;
      const column = finished(buildTermColumn(list, values, size, isOnArena ? new Arena(size, 100_000) : null));
      const pathOf = (t: number): number[] => (t < 0 ? [] : [t, ...pathOf(list.parents[t]!)]);
      const under = numbers.map((row) => new Set(row.flatMap(pathOf)));
      for (const t of above.keys()) {
        const expected = [...under.keys()].filter((p) => under[p]!.has(t));
        expect([...postsUnder(column, [t]).list]).toEqual(expected);
        expect(column.sizes[t]).toBe(expected.length);
      }
    }),
    { numRuns: 400 },
  );
});

test('a term may have more children than a call can have arguments', () => {
  const children = Array.from({ length: 200_000 }, (_, i) => ({ slug: `c${i}`, label: `Child ${i}`, parent: 'top' }));
  const list = termListOf(field('tree', 'terms', { tree: true }), [
    { slug: 'top', label: 'Top', parent: null },
    ...children,
  ]);
  expect([list!.terms.length, list!.terms[0]!.slug, list!.terms[200_000]!.slug]).toEqual([200_001, 'top', 'c199999']);
});
