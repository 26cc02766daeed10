import {
  answered,
  changedField,
  companionsOf,
  maxFindings,
  maxRejections,
  readableAs,
  rereadFields,
  shapedTerms,
  writtenRaw,
  writtenValue,
  type Field,
  type FieldChange,
  type FieldDescription,
  type FieldRole,
  type RawRecord,
  type Finding,
  type Rejection,
  type Reread,
} from '@ivy/core';
import type { Client } from 'pg';
import { refusalOfDatabase } from '../../database/outage.js';
import { begin, noteChange, withClient } from '../../database/worker-client.js';
import { insertTerms } from '../../database/term-rows.js';
import {
  changesPosts,
  readKnown,
  readRecords,
  readReferences,
  together,
  type SourceRecords,
} from './source-records.js';

/** Fields of a source that are to be read in another way, in a thread of its own. */
export interface FieldTask {
  sourceId: string;
  /** The field that is looked at. */
  key: string;
  /** By key: what is said of each field. */
  changes: Record<string, FieldChange>;
  /** Whether it is kept, or only looked at. */
  keeps: boolean;
  /** The day it is, `YYYY-MM-DD`. */
  today: string;
  databaseUrl: string;
}

/** What reading a field another way comes to. */
export interface FieldReading {
  before: FieldDescription;
  after: FieldDescription;
  /** Values there are, and how many of them can be read as they would be. */
  filled: number;
  read: number;
  /** Posts whose values are others than they were, or that are left out or brought back. */
  changed: number;
  /** Posts that are answered. */
  posts: { before: number; after: number };
  /** How many values each type could read. */
  types: Record<string, number>;
  /** Some values as they came, as they are read, and as they would be: those first that can't be. */
  rows: { record: number; raw: string; before: string | null; after: string | null }[];
  /** All fields that are read anew, before and after. */
  fields: { before: FieldDescription; after: FieldDescription }[];
  /** What would be found wrong with them. */
  findings: Finding[];
}

/** What it comes to where it was only looked at, or why it could not be done. */
export type FieldResult =
  { refused: null; reading: FieldReading | null } | { refused: { status: number; code: string; detail: string } };

/** Rows that are shown, and of them those that can't be read at most. */
const rowsShown = 12;
const unreadShown = 6;

interface Kept {
  fields: FieldDescription[];
  findings: Finding[];
  rejected: Rejection[];
}

export default async function change(task: FieldTask): Promise<FieldResult> {
  try {
    return await withClient(task.databaseUrl, 'ivy-lens fields', (client) => reread(client, task));
  } catch (error) {
    const refused = refusalOfDatabase(error);
    if (!refused) throw error;
    return { refused };
  }
}

async function reread(client: Client, task: FieldTask): Promise<FieldResult> {
  const { sourceId, changes, today, keeps } = task;
  await begin(client, keeps);
  const { rows: found } = await client.query<Kept>(
    `SELECT fields, findings, rejected FROM source WHERE id = $1 ${keeps ? 'FOR UPDATE' : ''}`,
    [sourceId],
  );
  const [source] = found;
  if (!source?.fields.some(({ key }) => key === task.key)) {
    const detail = `There is no field “${task.key}” any more.`;
    return { refused: { status: 404, code: 'not-found', detail } };
  }
  const changed = Object.keys(changes);
  const after = withChanges(source.fields, changes);
  // which posts there are is a matter of all fields: each counts only those that are answered
  const isAll = changesPosts(source.fields, after, changed);
  const keys = isAll ? [...new Set([...answered(after).map(({ key }) => key), ...changed])] : changed;
  const read = (fields: readonly Field[]) => fields.filter(({ key }) => keys.includes(key));
  const needed = [source.fields, after].flatMap((all) => companionsOf(read(all), all));
  const kept = await readRecords(client, sourceId, [...new Set([...keys, ...needed])]);
  const references = await readReferences(client, read(after));
  const isLeft = (record: number) => kept.leftBy[record]!.some((key) => !keys.includes(key));
  const said = changed.filter((key) => isSaidOf(changes[key]!));
  const { known, retired } = await readKnown(client, sourceId, keys);
  // where it was said how a field is read, its terms are others, and begin anew: but for those that someone shaped
  for (const key of said) {
    known[key] = shapedTerms(known[key] ?? []);
    retired[key] = [];
  }
  const made = rereadFields(kept.records, { fields: after, keys, today, references, known, retired, isLeft, said });
  if (!keeps) return { refused: null, reading: await readingOf(client, task, source, kept, after, made) };
  await keep(client, sourceId, { ...source, fields: after }, kept, keys, made);
  await client.query('COMMIT');
  return { refused: null, reading: null };
}

/** Fields with what is said of them. A role belongs to one at most: to the one that is given it. */
function withChanges(fields: readonly FieldDescription[], changes: FieldTask['changes']): FieldDescription[] {
  const given = new Map(
    Object.entries(changes).flatMap(([key, { role }]): [FieldRole, string][] => (role ? [[role, key]] : [])),
  );
  return fields.map((field) => {
    const said = Object.hasOwn(changes, field.key) ? changes[field.key]! : null;
    const { filled, distinct, samples, spread } = field;
    const made = said ? { ...changedField(field, said), filled, distinct, samples, spread } : field;
    const owner = made.role === null ? undefined : given.get(made.role);
    return owner === undefined || owner === field.key ? made : { ...made, role: null };
  });
}

/** Whether more is said of a field than what it is called, and what of it is mended. */
function isSaidOf({ mends: _mends, label: _label, role: _role, ...rest }: FieldChange): boolean {
  return Object.keys(rest).length > 0;
}

async function readingOf(
  client: Client,
  { key, changes, today }: FieldTask,
  source: Kept,
  kept: SourceRecords,
  fields: readonly Field[],
  reread: Reread,
): Promise<FieldReading> {
  const changed = Object.keys(changes);
  const references = await readReferences(client, source.fields);
  const isLeft = (record: number) => kept.leftBy[record]!.length > 0;
  const now = rereadFields(kept.records, { fields: source.fields, keys: changed, today, references, isLeft });
  const field = fields.find((one) => one.key === key)!;
  const before = source.fields.find((one) => one.key === key)!;
  const written = (of: Reread, one: Field, at: number) =>
    writtenValue(one, of.values[at]![one.key], of.terms[one.key] ?? []);
  const leftNow = leftAfter(kept, reread);
  const rows: FieldReading['rows'] = [];
  const unread: FieldReading['rows'] = [];
  let [filled, read, changedPosts, posts, postsNow] = [0, 0, 0, 0, 0];
  const others = changed
    .filter((one) => one !== key)
    .map((one) => [source.fields.find((f) => f.key === one)!, fields.find((f) => f.key === one)!] as const);
  let i = 0;
  for (const record of kept.records) {
    const at = i++;
    const isNow = kept.leftBy[at]!.length === 0;
    const is = leftNow[at]!.length === 0;
    if (isNow) postsNow++;
    if (is) posts++;
    const after = written(reread, field, at);
    const was = written(now, before, at);
    const isOther = others.some(([a, b]) => written(now, a, at) !== written(reread, b, at));
    if (after !== was || isOther || is !== isNow) changedPosts++;
    const raw = writtenRaw(record[key]);
    if (raw === '' || (!is && !isNow)) continue;
    filled++;
    if (after !== null) read++;
    const list = after === null ? unread : rows;
    // what would be another than it is tells most
    const row = { record: kept.positions[at]! + 1, raw, before: was, after };
    if (list.length < rowsShown) list.push(row);
    else if (after !== was && list === rows) {
      const same = rows.findLastIndex((one) => one.before === one.after);
      if (same >= 0) rows.splice(same, 1, row);
    }
  }
  const some = unread.slice(0, unreadShown);
  const shown = [...some, ...rows.slice(0, rowsShown - some.length)].sort((a, b) => a.record - b.record);
  const pairs = reread.descriptions.map((one) => ({
    before: source.fields.find((f) => f.key === one.key)!,
    after: one,
  }));
  return {
    before,
    after: pairs.find(({ after }) => after.key === key)!.after,
    filled,
    read,
    changed: changedPosts,
    posts: { before: postsNow, after: posts },
    types: readableAs(before, answeredOf(kept)),
    rows: shown,
    fields: pairs,
    findings: reread.findings,
  };
}

/** The records of posts that are answered. */
function answeredOf({ records, leftBy }: SourceRecords): RawRecord[] {
  return [...records].filter((_, i) => leftBy[i]!.length === 0);
}

/** Per post: keys of the fields that have it left out once some were read anew. */
function leftAfter({ leftBy }: SourceRecords, { descriptions, left }: Reread): string[][] {
  const keys = new Set(descriptions.map(({ key }) => key));
  return leftBy.map((before, i) => [...before.filter((key) => !keys.has(key)), ...left[i]!]);
}

async function keep(
  client: Client,
  sourceId: string,
  source: Kept,
  kept: SourceRecords,
  keys: readonly string[],
  reread: Reread,
): Promise<void> {
  const { ids, positions, records } = kept;
  const { descriptions, values, terms, findings } = reread;
  const leftNow = leftAfter(kept, reread);
  for (let from = 0; from < ids.length; from += together) {
    const rows = ids
      .slice(from, from + together)
      .map((id, i) => ({ id, values: values[from + i], left: leftNow[from + i] }));
    await client.query(
      `UPDATE post SET "values" = r.made, left_by = r.lefts
       FROM (
         SELECT p.id, (p."values" - $3::text[]) || j."values" AS made, ARRAY(SELECT jsonb_array_elements_text(j."left")) AS lefts
         FROM jsonb_to_recordset($2::jsonb) AS j(id text, "values" jsonb, "left" jsonb)
         JOIN post p ON p.source_id = $1 AND p.id = j.id
       ) AS r
       WHERE post.source_id = $1 AND post.id = r.id AND (post."values" <> r.made OR post.left_by <> r.lefts)`,
      [sourceId, JSON.stringify(rows), keys],
    );
  }
  // of a field that has no terms any more those that someone shaped are kept: it may have them again
  await client.query(
    `DELETE FROM term WHERE source_id = $1 AND field = ANY($2::text[]) AND (field = ANY($3::text[]) OR field NOT IN (
       SELECT field FROM term WHERE source_id = $1 AND paths IS NOT NULL))`,
    [sourceId, keys, Object.keys(terms)],
  );
  for (const [key, all] of Object.entries(terms)) await insertTerms(client, sourceId, key, all);
  const made = new Map(descriptions.map((field) => [field.key, field]));
  const fields = source.fields.map((field) => made.get(field.key) ?? field);
  const rest = source.findings.filter(({ field }) => !keys.includes(field));
  const order = new Map(fields.map((field, i) => [field.key, i]));
  const all = [...rest, ...findings].sort((a, b) => (order.get(a.field) ?? 0) - (order.get(b.field) ?? 0));
  const idField = fields.find(({ role, key }) => role === 'id' && keys.includes(key));
  const rejected = idField
    ? rejectedOf(source.rejected, idField.key, [...records], positions, leftNow)
    : source.rejected;
  await client.query(
    `UPDATE source SET fields = $2::jsonb, findings = $3::jsonb, rejected = $4::jsonb, posts = $5, revision = revision + 1,
       updated_at = now() WHERE id = $1`,
    [
      sourceId,
      JSON.stringify(fields),
      JSON.stringify(all.slice(0, maxFindings)),
      JSON.stringify(rejected),
      leftNow.filter((by) => by.length === 0).length,
    ],
  );
  await noteChange(client, { kind: 'source', id: sourceId });
}

/** The records that became no post, with those whose id is another’s as it is now. */
function rejectedOf(
  before: readonly Rejection[],
  idKey: string,
  records: readonly Record<string, unknown>[],
  positions: readonly number[],
  leftBy: readonly string[][],
): Rejection[] {
  const others = before.filter(({ code }) => code !== 'duplicate-id');
  const taken = leftBy.flatMap((by, i): Rejection[] => {
    if (!by.includes(idKey)) return [];
    const reason = `Its id “${writtenRaw(records[i]![idKey])}” is taken by another post.`;
    return [{ record: positions[i]! + 1, reason, code: 'duplicate-id' }];
  });
  return [...others, ...taken].sort((a, b) => a.record - b.record).slice(0, maxRejections);
}
