import {
  changedField,
  maxFindings,
  readableAs,
  rereadField,
  writtenRaw,
  writtenValue,
  type Field,
  type FieldChange,
  type FieldDescription,
  type Finding,
  type RawRecord,
  type Records,
  type Reread,
} from '@ivy/core';
import { Client } from 'pg';
import { refusalOfDatabase } from '../../database/outage.js';
import { changeChannel, type Change } from '../../shared/change-channel.js';
import { insertTerms } from '../intake/insert-terms.js';

/** A field of a source that is to be read in another way, in a thread of its own. */
export interface FieldTask {
  sourceId: string;
  key: string;
  change: FieldChange;
  /** Whether it is kept, or only looked at. */
  keeps: boolean;
  databaseUrl: string;
}

/** What reading a field another way comes to. */
export interface FieldReading {
  before: FieldDescription;
  after: FieldDescription;
  /** Values there are, and how many of them can be read as they would be. */
  filled: number;
  read: number;
  /** Posts whose value is another than it was. */
  changed: number;
  /** How many values each type could read. */
  types: Record<string, number>;
  /** Some values as they came, as they are read, and as they would be: those first that can't be. */
  rows: { record: number; raw: string; before: string | null; after: string | null }[];
}

/** What it comes to where it was only looked at, or why it could not be done. */
export type FieldResult =
  { refused: null; reading: FieldReading | null } | { refused: { status: number; code: string; detail: string } };

/** Rows that are shown, and of them those that can't be read at most. */
const rowsShown = 12;
const unreadShown = 6;
/** Posts that are fetched, and written, in one go. */
const together = 2000;

export default async function change(task: FieldTask): Promise<FieldResult> {
  const client = new Client({
    connectionString: task.databaseUrl,
    application_name: 'ivy-lens fields',
    connectionTimeoutMillis: 5_000,
    statement_timeout: 120_000,
    query_timeout: 125_000,
  });
  try {
    await client.connect();
    await client.query(task.keeps ? 'BEGIN' : 'BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const lock = task.keeps ? 'FOR UPDATE' : '';
    const { rows: found } = await client.query<{ fields: FieldDescription[]; findings: Finding[] }>(
      `SELECT fields, findings FROM source WHERE id = $1 ${lock}`,
      [task.sourceId],
    );
    const [source] = found;
    const before = source?.fields.find(({ key }) => key === task.key);
    if (!source || !before) return refused(404, 'not-found', `There is no field “${task.key}” any more.`);
    const { ids, records } = await recordsOf(client, task);
    const field = changedField(before, task.change);
    const reread = rereadField(field, records);
    if (!task.keeps) return { refused: null, reading: readingOf(before, field, records, reread) };
    await keep(client, task, source, ids, reread);
    await client.query('COMMIT');
    return { refused: null, reading: null };
  } catch (error) {
    const known = refusalOfDatabase(error);
    if (!known) throw error;
    return { refused: known };
  } finally {
    // an open transaction ends with its connection
    await client.end();
  }
}

function refused(status: number, code: string, detail: string): FieldResult {
  return { refused: { status, code, detail } };
}

/** The raw values of a field, in the order of the file. */
async function recordsOf(client: Client, { sourceId, key }: FieldTask): Promise<{ ids: string[]; records: Records }> {
  const ids: string[] = [];
  const records: RawRecord[] = [];
  await client.query(
    'DECLARE raws NO SCROLL CURSOR FOR SELECT id, raw -> $2 AS raw FROM post WHERE source_id = $1 ORDER BY position',
    [sourceId, key],
  );
  for (;;) {
    const { rows } = await client.query<{ id: string; raw: unknown }>(`FETCH ${together} FROM raws`);
    if (rows.length === 0) break;
    for (const { id, raw } of rows) {
      ids.push(id);
      // from entries, so that a field may be called like what every object has
      records.push(Object.fromEntries([[key, raw]]));
    }
  }
  await client.query('CLOSE raws');
  return { ids, records: Object.assign(records, { names: [key] }) };
}

function readingOf(before: FieldDescription, field: Field, records: Records, reread: Reread): FieldReading {
  const { key } = field;
  const now = rereadField(before, records);
  const rows: FieldReading['rows'] = [];
  const unread: FieldReading['rows'] = [];
  let filled = 0;
  let changed = 0;
  let i = 0;
  for (const record of records) {
    const at = i++;
    const raw = writtenRaw(record[key]);
    if (raw === '') continue;
    filled++;
    const after = writtenValue(field, reread.values[at], reread.terms);
    const was = writtenValue(before, now.values[at], now.terms);
    if (after !== was) changed++;
    const list = after === null ? unread : rows;
    if (list.length < rowsShown) list.push({ record: at + 1, raw, before: was, after });
  }
  const some = unread.slice(0, unreadShown);
  const shown = [...some, ...rows.slice(0, rowsShown - some.length)].sort((a, b) => a.record - b.record);
  const read = reread.values.filter((value) => value !== undefined).length;
  return { before, after: reread.description, filled, read, changed, types: readableAs(before, records), rows: shown };
}

async function keep(
  client: Client,
  { sourceId, key }: FieldTask,
  source: { fields: FieldDescription[]; findings: Finding[] },
  ids: readonly string[],
  { description, values, terms, findings }: Reread,
): Promise<void> {
  for (let from = 0; from < ids.length; from += together) {
    const rows = ids.slice(from, from + together).map((id, i) => ({ id, value: values[from + i] }));
    await client.query(
      `UPDATE post SET "values" = CASE WHEN r.value IS NULL THEN "values" - $3::text
         ELSE jsonb_set("values", ARRAY[$3::text], r.value) END
       FROM jsonb_to_recordset($2::jsonb) AS r(id text, value jsonb) WHERE post.source_id = $1 AND post.id = r.id`,
      [sourceId, JSON.stringify(rows), key],
    );
  }
  await client.query('DELETE FROM term WHERE source_id = $1 AND field = $2', [sourceId, key]);
  await insertTerms(client, sourceId, key, terms);
  const fields = source.fields.map((field) => {
    if (field.key === key) return description;
    // a role belongs to one field at most
    return description.role !== null && field.role === description.role ? { ...field, role: null } : field;
  });
  const rest = source.findings.filter((finding) => finding.field !== key);
  const order = new Map(fields.map((field, i) => [field.key, i]));
  const all = [...rest, ...findings].sort((a, b) => (order.get(a.field) ?? 0) - (order.get(b.field) ?? 0));
  await client.query(
    `UPDATE source SET fields = $2::jsonb, findings = $3::jsonb, revision = revision + 1, updated_at = now() WHERE id = $1`,
    [sourceId, JSON.stringify(fields), JSON.stringify(all.slice(0, maxFindings))],
  );
  // in the same transaction, so that every process hears of it if, and only if, it is kept
  const change: Change = { kind: 'source', id: sourceId };
  await client.query('SELECT pg_notify($1, $2)', [changeChannel, JSON.stringify(change)]);
}
