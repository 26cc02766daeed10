import { fieldWithRole, type Field, type RawRecord, type Records, type References, type Term } from '@ivy/core';
import type { Client } from 'pg';
import { readTerms } from '../../database/term-rows.js';

/** Raw values of a source, in the order of its file. */
export interface SourceRecords {
  ids: string[];
  /** Place of each in its file, from 0. */
  positions: number[];
  /** Keys of the fields that have each left out. */
  leftBy: string[][];
  records: Records;
}

/** Posts that are fetched, and written, in one go. */
export const together = 2000;

/** The raw values of some fields. */
export async function readRecords(client: Client, sourceId: string, keys: readonly string[]): Promise<SourceRecords> {
  const found: Omit<SourceRecords, 'records'> = { ids: [], positions: [], leftBy: [] };
  const records: RawRecord[] = [];
  await client.query(
    `DECLARE raws NO SCROLL CURSOR FOR
     SELECT id, position, left_by, ARRAY(SELECT raw -> key FROM unnest($2::text[]) WITH ORDINALITY AS k(key, n) ORDER BY n) AS raws
     FROM post WHERE source_id = $1 ORDER BY position`,
    [sourceId, keys],
  );
  for (;;) {
    const { rows } = await client.query<{ id: string; position: number; left_by: string[]; raws: unknown[] }>(
      `FETCH ${together} FROM raws`,
    );
    if (rows.length === 0) break;
    for (const { id, position, left_by: leftBy, raws } of rows) {
      found.ids.push(id);
      found.positions.push(position);
      found.leftBy.push(leftBy);
      // from entries, so that a field may be called like what every object has
      records.push(Object.fromEntries(keys.map((key, i) => [key, raws[i]])));
    }
  }
  await client.query('CLOSE raws');
  return { ...found, records: Object.assign(records, { names: [...keys] }) };
}

/** Terms of fields as they are, and of those the ones that no post has. */
export async function readKnown(
  client: Client,
  sourceId: string,
  keys: readonly string[],
): Promise<{ known: Record<string, Term[]>; retired: Record<string, Term[]> }> {
  const known = await readTerms(client, sourceId, keys);
  const retired = await Promise.all(
    Object.entries(known).map(async ([key, terms]): Promise<[string, Term[]]> => {
      const { rows } = await client.query<{ slug: string }>(
        `SELECT DISTINCT slug FROM post, jsonb_array_elements_text("values" -> $2) AS slug
         WHERE source_id = $1 AND jsonb_typeof("values" -> $2) = 'array'`,
        [sourceId, key],
      );
      const used = new Set(rows.map(({ slug }) => slug));
      // parents come before their children
      for (const { slug, parent } of [...terms].reverse()) if (parent !== null && used.has(slug)) used.add(parent);
      return [key, terms.filter(({ slug }) => !used.has(slug))];
    }),
  );
  return { known, retired: Object.fromEntries(retired) };
}

/** What values stand for, at the sources that fields refer to. */
export async function readReferences(client: Client, fields: readonly Field[]): Promise<References> {
  const found: [string, Map<string, string>][] = [];
  for (const { key, reference } of fields) {
    if (!reference) continue;
    const { rows } = await client.query<{ value: string | null; label: string | null }>(
      `SELECT post.raw ->> $2 AS value, post.raw ->> $3 AS label FROM post JOIN source ON source.id = post.source_id
       WHERE source.slug = $1 ORDER BY post.position`,
      [reference.source, reference.key, reference.label],
    );
    const labels = new Map<string, string>();
    for (const { value, label } of rows) {
      const of = value?.trim() ?? '';
      if (of !== '' && !labels.has(of)) labels.set(of, label?.trim() || of);
    }
    found.push([key, labels]);
  }
  return Object.fromEntries(found);
}

/** Whether which posts are left out could change with some fields. */
export function changesPosts(before: readonly Field[], after: readonly Field[], keys: readonly string[]): boolean {
  const leaves = (fields: readonly Field[]) =>
    fields
      .filter(({ key }) => keys.includes(key))
      .map((field) => [fieldWithRole([field], 'id')?.key, ...leaving(field)].join())
      .join(';');
  return leaves(before) !== leaves(after);
}

function leaving({ left, mends = [] }: Field): string[] {
  if (left) return [];
  return mends.flatMap(({ rule }) => (rule.does === 'leave' || rule.does === 'number' ? [JSON.stringify(rule)] : []));
}
