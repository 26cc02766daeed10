import type { Finding, Term } from '@ivy/core';
import type { Client } from 'pg';
import type { FileState, Made } from '../../database/run.entity.js';
import { noteChange } from '../../database/worker-client.js';
import { insertTerms } from '../../database/term-rows.js';
import type { Brought, KeptPost, PostChange } from './bring.js';
import { together, type SourceState } from './kept.js';
import type { RunDiff } from './run-preview.js';
import type { RunTask } from './run-task.js';

/** What there was first with a run. */
export async function madeBy(client: Client, run: number): Promise<Made> {
  const { rows } = await client.query<{ made: Made }>('SELECT made FROM run WHERE id = $1', [run]);
  return rows[0]?.made ?? {};
}

/** What there is first with a run: when it is undone, that goes again. */
export function madeNew(
  source: SourceState,
  known: Record<string, Term[]>,
  { fields, terms }: Pick<Brought, 'fields' | 'terms'>,
): Made {
  const { fileName, rejected } = source;
  const keys = new Set(source.fields.map(({ key }) => key));
  const added = Object.entries(terms).flatMap(([key, all]) => {
    const slugs = new Set((Object.hasOwn(known, key) ? known[key]! : []).map(({ slug }) => slug));
    const fresh = all.filter(({ slug }) => !slugs.has(slug)).map(({ slug }) => slug);
    return fresh.length === 0 ? [] : [[key, fresh] as const];
  });
  return {
    fields: fields.map(({ key }) => key).filter((key) => !keys.has(key)),
    terms: Object.fromEntries(added),
    file: { fileName, rejected },
  };
}

/** What was read without fields and terms that have nothing any more and were made by a run that is undone. */
export function without(brought: Brought, made: Made): Brought {
  const empty = new Set(
    brought.fields.filter(({ key, filled }) => filled === 0 && made.fields?.includes(key)).map(({ key }) => key),
  );
  const used = new Map(brought.fields.map(({ key }) => [key, new Set<string>()]));
  for (const { values } of brought.posts) {
    for (const [key, value] of Object.entries(values))
      if (Array.isArray(value)) for (const one of value) used.get(key)?.add(one);
  }
  const terms = Object.entries(brought.terms).flatMap(([key, all]): [string, Term[]][] => {
    if (empty.has(key)) return [];
    const fresh = new Set(made.terms?.[key]);
    // from the last to the first: what stands above another one comes before it
    const needed = new Set(used.get(key));
    for (const { slug, parent } of [...all].reverse()) {
      if (parent !== null && (needed.has(slug) || !fresh.has(slug))) needed.add(parent);
    }
    return [[key, all.filter(({ slug }) => !fresh.has(slug) || needed.has(slug))]];
  });
  const left = Object.fromEntries(terms);
  return {
    ...brought,
    fields: brought.fields.filter(({ key }) => !empty.has(key)),
    findings: brought.findings.filter((finding) => !empty.has(finding.field) && !isOfNothing(finding, left)),
    terms: left,
  };
}

/** Whether a finding tells of terms alone that are not there any more. */
function isOfNothing({ field, posts, values }: Finding, terms: Readonly<Record<string, readonly Term[]>>): boolean {
  const labels = new Set(terms[field]?.map(({ label }) => label));
  return posts === 0 && values.length > 0 && !values.some((value) => labels.has(value));
}

/** What a run keeps beside what it brought. */
export interface Kept {
  diff: RunDiff;
  made: Made;
  file: FileState;
  /** Ids of the posts that nothing but it touched; null where all were read. */
  touched: string[] | null;
}

/** Keeps a run in the transaction that is open: what changed, and all that the source is then. */
export async function keepRun(
  client: Client,
  { sourceId, what }: RunTask,
  kept: ReadonlyMap<string, KeptPost>,
  brought: Pick<Brought, 'changes' | 'written' | 'terms' | 'fields' | 'findings' | 'answered'>,
  { diff, made, file, touched }: Kept,
): Promise<number> {
  const { rows } = await client.query<{ id: number }>(
    `INSERT INTO run (source_id, how, file_name, added, changed, unchanged, removed, total, rejected, made, touched, revision)
     SELECT $1, $2, $3, $4, $5, $6, $7, $8, $9::jsonb, $10::jsonb, $11::text[], revision + 1 FROM source WHERE id = $1
     RETURNING id`,
    [
      sourceId,
      what.how,
      what.how === 'file' || what.how === 'live' ? file.fileName : '',
      diff.added,
      diff.changed,
      diff.unchanged,
      diff.removed,
      diff.total,
      JSON.stringify(diff.rejected),
      JSON.stringify(made),
      touched,
    ],
  );
  const run = rows[0]!.id;
  if (what.how === 'undo') await client.query('UPDATE run SET undone = true WHERE id = $1', [what.run]);
  await keepBefore(client, run, kept, brought.changes);
  const gone = brought.changes.filter(({ change }) => change === 'removed').map(({ id }) => id);
  if (gone.length > 0)
    await client.query('DELETE FROM post WHERE source_id = $1 AND id = ANY($2::text[])', [sourceId, gone]);
  await writeRead(client, sourceId, brought);
  // an index from before is brought up to date by the posts that were touched, as it is by terms that were shaped
  await client.query(
    `UPDATE source SET fields = $2::jsonb, findings = $3::jsonb, posts = $4, revision = revision + 1, updated_at = now(),
       rejected = $5::jsonb, file_name = $6, settles = $7,
       shaped_from = CASE WHEN NOT $7 THEN 0 WHEN shaped_to = revision THEN shaped_from ELSE revision END,
       shaped_until = CASE WHEN $7 AND shaped_to = revision THEN shaped_until END,
       shaped_to = CASE WHEN $7 THEN revision + 1 ELSE 0 END
     WHERE id = $1`,
    [
      sourceId,
      JSON.stringify(brought.fields),
      JSON.stringify(brought.findings),
      brought.answered,
      JSON.stringify(file.rejected),
      file.fileName,
      touched !== null,
    ],
  );
  await markReferring(client, sourceId);
  await noteChange(client, { kind: 'source', id: sourceId, few: touched !== null });
  return run;
}

/** Sources whose fields take their labels from this one are read again, once it rests. */
async function markReferring(client: Client, sourceId: string): Promise<void> {
  await client.query(
    `UPDATE source AS other SET settles = true FROM source AS this
     WHERE this.id = $1 AND other.id <> this.id AND EXISTS (
       SELECT 1 FROM jsonb_array_elements(other.fields) AS field WHERE field #>> '{reference,source}' = this.slug)`,
    [sourceId],
  );
}

/** Writes posts and terms as they were read. */
export async function writeRead(
  client: Client,
  sourceId: string,
  brought: Pick<Brought, 'written' | 'terms' | 'fields'>,
): Promise<void> {
  for (let from = 0; from < brought.written.length; from += together) {
    await client.query(
      `INSERT INTO post (source_id, id, position, raw, "values", left_by)
       SELECT $1, r.id, r.position, r.raw, r."values", ARRAY(SELECT jsonb_array_elements_text(r."leftBy"))
       FROM jsonb_to_recordset($2::jsonb) AS r(id text, position int, raw jsonb, "values" jsonb, "leftBy" jsonb)
       ON CONFLICT (source_id, id) DO UPDATE SET raw = excluded.raw, "values" = excluded."values", left_by = excluded.left_by`,
      [sourceId, JSON.stringify(brought.written.slice(from, from + together))],
    );
  }
  // terms that someone shaped stay with a field that has none for now
  await client.query(
    'DELETE FROM term WHERE source_id = $1 AND (field = ANY($2::text[]) OR field <> ALL($3::text[]))',
    [sourceId, Object.keys(brought.terms), brought.fields.map(({ key }) => key)],
  );
  for (const [key, terms] of Object.entries(brought.terms)) await insertTerms(client, sourceId, key, terms);
}

/** Runs of which the posts before are kept: what is older can be seen, and not undone. */
const runsKept = 7;

/** Keeps what the posts were that a run changes, so that it can be undone. */
async function keepBefore(
  client: Client,
  run: number,
  kept: ReadonlyMap<string, KeptPost>,
  changes: readonly PostChange[],
): Promise<void> {
  for (let from = 0; from < changes.length; from += together) {
    const rows = changes.slice(from, from + together).map(({ id }) => {
      const was = kept.get(id);
      return { id, raw: was?.raw ?? null, position: was?.position ?? null };
    });
    await client.query(
      `INSERT INTO run_post (run_id, post_id, raw, position)
       SELECT $1, r.id, nullif(r.raw, 'null'::jsonb), r.position
       FROM jsonb_to_recordset($2::jsonb) AS r(id text, raw jsonb, position int)`,
      [run, JSON.stringify(rows)],
    );
  }
  await client.query(
    `DELETE FROM run_post WHERE run_id IN (
       SELECT id FROM run WHERE source_id = (SELECT source_id FROM run WHERE id = $1) AND state = 'done'
       ORDER BY id DESC OFFSET $2)`,
    [run, runsKept],
  );
}
