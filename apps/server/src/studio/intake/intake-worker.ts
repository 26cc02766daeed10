import {
  discoverFields,
  FieldDescriber,
  PostReader,
  prepareFields,
  summarise,
  watchFor,
  type Field,
  type Finding,
  type RawRecord,
  type Records,
} from '@ivy/core';
import { FileProblem, type FileReading } from '@ivy/formats';
import type { MessagePort } from 'node:worker_threads';
import type { Client } from 'pg';
import { refusalOfDatabase } from '../../database/outage.js';
import { begin, withClient } from '../../database/worker-client.js';
import { freeSlug } from '../../shared/slugs.js';
import { insertLive, type LiveColumns } from '../live/live-rows.js';
import { readOnDisk, type FilesOnDisk } from './given-files.js';
import { insertTerms } from '../../database/term-rows.js';

/** A file to be read, in a thread of its own, and what was said about it. */
export interface IntakeTask {
  /** The source is to have this id. */
  id: string;
  given: FilesOnDisk;
  fileName: string;
  name: string;
  slug: string | null;
  site: string | null;
  /** Where its posts come from by themselves; null for a file alone. */
  live: LiveColumns | null;
  databaseUrl: string;
  /** Called with how far it is. */
  port: MessagePort | null;
}

/** How far reading is: records that are kept of all there are. */
export interface IntakeProgress {
  done: number;
  total: number;
}

/** The source is there, or why it is not. */
export type IntakeResult = { refused: null } | { refused: { status: number; code: string; detail: string } };

/** Reads a file and keeps it as a new source: everything in one transaction, or nothing. */
export default async function intake(task: IntakeTask): Promise<IntakeResult> {
  try {
    const reading = readOnDisk(task.given, today());
    const fields = discoverFields(reading.records);
    await withClient(task.databaseUrl, 'ivy-lens intake', async (client) => {
      await begin(client, true);
      await keep(client, task, reading, fields);
      await client.query('COMMIT');
    });
    return { refused: null };
  } catch (error) {
    const refused = refusalOf(error, task);
    if (!refused) throw error;
    return { refused };
  }
}

/** The day it is, `YYYY-MM-DD`. */
function today(): string {
  return new Date().toISOString().slice(0, 10);
}

class Refused extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

function refusalOf(error: unknown, task: IntakeTask): { status: number; code: string; detail: string } | null {
  if (error instanceof Refused) return { status: error.status, code: error.code, detail: error.message };
  if (error instanceof FileProblem) {
    return { status: error.code === 'too-large' ? 413 : 422, code: error.code, detail: error.message };
  }
  const refused = refusalOfDatabase(error);
  if (refused) return refused;
  if (!isTaken(error)) return null;
  const detail = `A source called “${task.slug ?? task.name}” is there already. Choose another name.`;
  return { status: 409, code: 'slug-taken', detail };
}

function isTaken(error: unknown): boolean {
  return (error as { code?: unknown }).code === '23505';
}

async function keep(
  client: Client,
  task: IntakeTask,
  { format, records, rejected: broken = [] }: FileReading,
  fields: readonly Field[],
): Promise<void> {
  const { id, live } = task;
  // the name it goes by is settled last, so that of several sources of one name none waits for another to be read
  await client.query(
    `INSERT INTO source (id, slug, name, format, file_name, site, options, posts, fields, findings, rejected)
     VALUES ($1::uuid, $1::uuid::text, $2, $3, $4, $5, $6::jsonb, 0, '[]', '[]', '[]')`,
    [id, task.name, format, task.fileName.slice(0, 200), task.site, JSON.stringify(task.given.options)],
  );
  const { reader, describer } = await keepPosts(client, id, fields, records, today(), task.port);
  if (reader.posts === 0) {
    throw new Refused(422, 'no-posts', 'No record of the file has a value, so there is nothing to bring in.');
  }
  const rejected = [...broken, ...reader.rejected];
  const { fields: described, findings, terms: taxonomies } = summarise(reader.records, describer);
  for (const [field, terms] of Object.entries(taxonomies)) await insertTerms(client, id, field, terms);
  await client.query(
    'UPDATE source SET posts = $2, fields = $3::jsonb, findings = $4::jsonb, rejected = $5::jsonb WHERE id = $1',
    [id, reader.posts, JSON.stringify(described), JSON.stringify(findings), JSON.stringify(rejected)],
  );
  await client.query(
    `INSERT INTO run (source_id, how, file_name, added, changed, unchanged, removed, total, rejected)
     VALUES ($1, $5, $2, $3, 0, 0, 0, $3, $4::jsonb)`,
    [id, task.fileName.slice(0, 200), reader.posts, JSON.stringify(rejected), live ? 'live' : 'file'],
  );
  if (live) await insertLive(client, id, live);
  await giveSlug(client, task);
}

/** Bytes of JSON, and rows, that one statement inserts at most. */
const bytesPerInsert = 2 * 1024 * 1024;
const rowsPerInsert = 2000;

async function keepPosts(
  client: Client,
  sourceId: string,
  fields: readonly Field[],
  records: Records,
  today: string,
  port: MessagePort | null,
): Promise<{ reader: PostReader<Finding>; describer: FieldDescriber }> {
  const reader = new PostReader(fields, prepareFields(records, fields), {}, watchFor({ fields, today }));
  const describer = new FieldDescriber(fields);
  let rows: string[] = [];
  let [bytes, done] = [0, 0];
  // PostgreSQL takes one lot in while the next is read here
  let inserting: Promise<void> = Promise.resolve();
  const flush = async () => {
    await inserting;
    if (rows.length === 0) return;
    inserting = insertPosts(client, sourceId, rows);
    // that it failed is reported by the next who waits for it
    inserting.catch(() => {});
    [rows, bytes] = [[], 0];
    port?.postMessage({ done, total: records.length } satisfies IntakeProgress);
  };
  for (const record of records as Iterable<RawRecord>) {
    done++;
    const read = reader.read(record);
    if (!read) continue;
    const { post, raw, position, left } = read;
    if (left.length === 0) describer.add(post);
    const row = JSON.stringify({ id: post.id, position, raw, values: post.values, left });
    rows.push(row);
    bytes += row.length;
    if (rows.length >= rowsPerInsert || bytes >= bytesPerInsert) await flush();
  }
  await flush();
  await inserting;
  return { reader, describer };
}

/** One statement of one document: no limit on parameters, and twice as quick as a row at a time. */
async function insertPosts(client: Client, sourceId: string, rows: readonly string[]): Promise<void> {
  await client.query(
    `INSERT INTO post (source_id, id, position, raw, "values", left_by)
     SELECT $1, r.id, r.position, r.raw, r."values", ARRAY(SELECT jsonb_array_elements_text(r."left"))
     FROM jsonb_to_recordset($2::jsonb) AS r(id text, position int, raw jsonb, "values" jsonb, "left" jsonb)`,
    [sourceId, `[${rows.join(',')}]`],
  );
}

/** Gives the source the slug that was asked for, or the first that is free by its name, whoever else takes one meanwhile. */
async function giveSlug(client: Client, { id, slug, name }: IntakeTask): Promise<void> {
  const set = (wanted: string) => client.query('UPDATE source SET slug = $2 WHERE id = $1', [id, wanted]);
  if (slug !== null) return void (await set(slug));
  const taken = new Set<string>();
  for (;;) {
    const { rows } = await client.query<{ slug: string }>('SELECT slug FROM source');
    for (const row of rows) taken.add(row.slug);
    const wanted = freeSlug(name, taken);
    await client.query('SAVEPOINT before_slug');
    try {
      await set(wanted);
      return;
    } catch (error) {
      if (!isTaken(error)) throw error;
      await client.query('ROLLBACK TO before_slug');
      taken.add(wanted);
    }
  }
}
