import type { Term } from '@ivy/core';
import fc from 'fast-check';
import type { TermRow } from '../../database/term.entity.js';
import { statesAround, statesBack } from './term-states.js';

const rowOf = (slug: string, position: number, more: object = {}): TermRow =>
  ({
    ...{ slug, position, label: slug, parent: null, hidden: false, aliases: [], was: [], gone: false },
    ...{ picture: null, colour: null, paths: null, ...more },
  }) as unknown as TermRow;
const termOf = ({ slug, label, parent }: TermRow): Term => ({ slug, label, parent });

/** Slugs in the order in which rows stand once states were written. */
function written(rows: readonly TermRow[], states: ReturnType<typeof statesAround>['after']): string[] {
  const positions = new Map(rows.map(({ slug, position }) => [slug, position]));
  for (const { slug, term } of states) {
    if (term === null) positions.delete(slug);
    else positions.set(slug, term.position as number);
  }
  return [...positions].sort((a, b) => a[1] - b[1]).map(([slug]) => slug);
}

test('whatever order terms are put in, rows stand in it once they are written, and back as they were', () => {
  const positions = fc.uniqueArray(fc.double({ min: -1000, max: 1000, noNaN: true }), { minLength: 1, maxLength: 30 });
  fc.assert(
    fc.property(positions, fc.infiniteStream(fc.nat()), (all, chance) => {
      const rows = [...all].sort((a, b) => a - b).map((position, i) => rowOf(`t${i}`, position));
      const next = [...rows].map(termOf);
      for (let i = 0; i < 3; i++) {
        const [moved] = next.splice(chance.next().value! % next.length, 1);
        next.splice(chance.next().value! % (next.length + 1), 0, moved!);
      }
      const { before, after } = statesAround(rows, next);
      expect(written(rows, after)).toEqual(next.map(({ slug }) => slug));
      expect(before.length).toBeLessThanOrEqual(rows.length);
      const now = rows.map((row) => {
        const state = after.find(({ slug }) => slug === row.slug);
        return state?.term ? rowOf(row.slug, state.term.position as number) : row;
      });
      expect(written(now, before)).toEqual(rows.map(({ slug }) => slug));
    }),
    { numRuns: 500 },
  );
});

test('one term that moves is one row that is written', () => {
  const rows = Array.from({ length: 1000 }, (_, i) => rowOf(`t${i}`, i));
  const next = rows.map(termOf);
  next.splice(3, 0, next.splice(900, 1)[0]!);
  const { after } = statesAround(rows, next);
  expect(after).toEqual([{ slug: 't900', term: expect.objectContaining({ position: 2.5 }) }]);
});

test('where no number is left between two, all are numbered anew', () => {
  const close = 1 + Number.EPSILON;
  const rows = [rowOf('a', 1), rowOf('b', close), rowOf('c', 9)];
  const { after } = statesAround(rows, [rows[0]!, rows[2]!, rows[1]!].map(termOf));
  expect(written(rows, after)).toEqual(['a', 'c', 'b']);
});

test('a term that is undone to an older slug keeps the newer one as another', () => {
  const rows = [rowOf('reed', 0), rowOf('mud', 1)];
  const states = statesAround(rows, [
    { slug: 'reeds', label: 'reed', parent: null, aliases: ['reed'], was: ['reed'] },
    termOf(rows[1]!),
  ]);
  const back = statesBack(states);
  expect(back.find(({ slug }) => slug === 'reed')!.term).toMatchObject({ aliases: ['reeds'], was: ['reeds'] });
  expect(back.find(({ slug }) => slug === 'reeds')!.term).toBeNull();
  // of one that went, and of one that came, nothing is to be kept
  const merged = statesAround(rows, [termOf(rows[0]!)]);
  expect(statesBack(merged)).toEqual(merged.before);
});
