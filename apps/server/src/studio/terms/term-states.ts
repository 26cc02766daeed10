import type { Term } from '@ivy/core';
import type { EntityManager } from 'typeorm';
import type { TermChangeRow, TermState } from '../../database/term-change.entity.js';
import { termColumns } from '../../database/term-rows.js';
import type { TermRow } from '../../database/term.entity.js';

/** What a change makes of the rows of a field's terms: those that are others then, as they were and as they are. */
export function statesAround(
  rows: readonly TermRow[],
  next: readonly Term[],
): { before: TermState[]; after: TermState[] } {
  const before: TermState[] = [];
  const after: TermState[] = [];
  const known = new Map(rows.map((row) => [row.slug, row]));
  const positions = positionsOf(next, known);
  const here = new Set(next.map(({ slug }) => slug));
  next.forEach((term, i) => {
    const was = known.get(term.slug);
    const is = stateOf(term, positions[i]!);
    const had = was ? stateOf(was, was.position) : null;
    if (had && JSON.stringify(had) === JSON.stringify(is)) return;
    before.push({ slug: term.slug, term: had });
    after.push({ slug: term.slug, term: is });
  });
  for (const row of rows) {
    if (here.has(row.slug)) continue;
    before.push({ slug: row.slug, term: stateOf(row, row.position) });
    after.push({ slug: row.slug, term: null });
  }
  return { before, after };
}

/**
 * The rows as they were before a change. A slug that a term was given in between goes on leading to it: posts and addresses
 * may have it by now.
 */
export function statesBack({ before, after }: Pick<TermChangeRow, 'before' | 'after'>): TermState[] {
  const gone = before.filter(({ term }, i) => term !== null && after[i]!.term === null);
  const given = after.filter(({ term }, i) => term !== null && before[i]!.term === null);
  // where one went and one came, it is one that has another slug
  if (gone.length !== 1 || given.length !== 1) return before;
  const add = (list: unknown) => [...new Set([...(list as string[]), given[0]!.slug])];
  return before.map(({ slug, term }) =>
    term && slug === gone[0]!.slug
      ? { slug, term: { ...term, aliases: add(term.aliases), was: add(term.was) } }
      : { slug, term },
  );
}

/** Writes rows as they are to be, whatever they were. */
export async function writeStates(
  manager: EntityManager,
  sourceId: string,
  field: string,
  states: readonly TermState[],
): Promise<void> {
  const gone = states.filter(({ term }) => term === null).map(({ slug }) => slug);
  const kept = states.flatMap(({ term }) => (term === null ? [] : [term]));
  if (gone.length > 0) {
    await manager.query('DELETE FROM term WHERE source_id = $1 AND field = $2 AND slug = ANY($3::text[])', [
      sourceId,
      field,
      gone,
    ]);
  }
  if (kept.length === 0) return;
  const others = termColumns.filter((column) => column !== 'slug');
  await manager.query(
    `INSERT INTO term (source_id, field, ${termColumns.join(', ')})
     SELECT $1, $2, ${termColumns.map((column) => `r.${column}`).join(', ')}
     FROM jsonb_populate_recordset(null::term, $3::jsonb) AS r
     ON CONFLICT (source_id, field, slug) DO UPDATE SET ${others.map((column) => `${column} = excluded.${column}`).join(', ')}`,
    [sourceId, field, JSON.stringify(kept)],
  );
}

function stateOf(term: Term | TermRow, position: number): Record<string, unknown> {
  const { slug, label, parent, hidden = false, aliases = [], was = [], gone = false } = term;
  const { picture = null, colour = null, paths = null } = term;
  return { slug, position, label, parent, hidden, aliases, was, picture, colour, paths, gone };
}

/**
 * Positions that put terms in an order and leave those that can stay: one that moved gets a place half-way between its
 * neighbours. Where no number is left between them, all are numbered anew.
 */
function positionsOf(next: readonly Term[], known: ReadonlyMap<string, TermRow>): number[] {
  const had = next.map(({ slug }) => known.get(slug)?.position ?? null);
  const stays = increasing(had);
  const positions = had.map((position, i) => (stays[i] ? position! : NaN));
  for (let i = 0; i < positions.length; i++) {
    if (!Number.isNaN(positions[i]!)) continue;
    const low = i === 0 ? null : positions[i - 1]!;
    const high = positions.slice(i).find((one) => !Number.isNaN(one));
    const middle = low === null ? (high ?? 1) - 1 : high === undefined ? low + 1 : (low + high) / 2;
    if (middle === low || middle === high) return next.map((_, at) => at);
    positions[i] = middle;
  }
  return positions;
}

/** Which of some numbers stay where they are: the most of them that already ascend, one that moved being passed over. */
function increasing(numbers: readonly (number | null)[]): boolean[] {
  // patience sorting: the ends of the best runs of each length, and what each number follows
  const ends: number[] = [];
  const follows = new Array<number>(numbers.length).fill(-1);
  numbers.forEach((number, i) => {
    if (number === null) return;
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (numbers[ends[middle]!]! < number) low = middle + 1;
      else high = middle;
    }
    follows[i] = low > 0 ? ends[low - 1]! : -1;
    ends[low] = i;
  });
  const stays = numbers.map(() => false);
  for (let i = ends.at(-1) ?? -1; i >= 0; i = follows[i]!) stays[i] = true;
  return stays;
}
