import { fieldWithRole, type Field, type RawRecord, type Rejection } from '@ivy/core';
import type { FileProblem } from '@ivy/formats';
import type { Client } from 'pg';
import { refusalOfDatabase } from '../../database/outage.js';
import type { FileState, Made } from '../../database/run.entity.js';
import { begin, withClient } from '../../database/worker-client.js';
import { readReferences } from '../fields/source-records.js';
import { missingPost, recordsById } from './asked.js';
import { bringFew } from './bring-few.js';
import { bring, fieldsWith, idOf, type Brought, type KeptPost, type NextRecord } from './bring.js';
import { keepRun, madeBy, madeNew, without } from './keep-run.js';
import { readTerms } from '../../database/term-rows.js';
import { readKept, type SourceState } from './kept.js';
import { Refused } from './refused.js';
import { diffOf, previewOf, type RunDiff, type RunPreview } from './run-preview.js';
import type { RunTask } from './run-task.js';

export type RunResult =
  | { refused: { status: number; code: string; detail: string } }
  | {
      refused: null;
      run: number | null;
      diff: RunDiff;
      preview: RunPreview | null;
      /** Whether few posts changed among many, which were not read. */
      isFew: boolean;
      /** Whether nothing was kept, since it would take too much away. */
      isHeld: boolean;
    };

export default async function run(task: RunTask): Promise<RunResult> {
  try {
    return await withClient(task.databaseUrl, 'ivy-lens runs', (client) => bringIn(client, task));
  } catch (error) {
    const refused = refusalOf(error);
    if (!refused) throw error;
    return { refused };
  }
}

async function bringIn(client: Client, task: RunTask): Promise<RunResult> {
  await begin(client, task.keeps);
  const { rows } = await client.query<SourceState>(
    `SELECT fields, findings, rejected, posts, file_name AS "fileName", options FROM source WHERE id = $1 ${task.keeps ? 'FOR UPDATE' : ''}`,
    [task.sourceId],
  );
  const [source] = rows;
  if (!source) throw new Refused(404, 'not-found', 'The source is not there any more.');
  const few = await bringFew(client, task, source);
  if (few) {
    const id = await keepRun(client, task, few.kept, few.brought, few.rest);
    await client.query('COMMIT');
    return { refused: null, run: id, diff: few.rest.diff, preview: null, isFew: true, isHeld: false };
  }
  const kept = await readKept(client, task.sourceId);
  const { fields, records, rejected: broken = [] } = await nextOf(client, task, source, kept);
  const known = await readTerms(client, task.sourceId);
  const references = await readReferences(client, fields);
  const all = bring(kept, fields, records, known, { today: task.today, references });
  const read = { ...all, rejected: [...broken, ...all.rejected] };
  const undoes = task.what.how === 'undo' ? await madeBy(client, task.what.run) : null;
  const brought = undoes ? without(read, undoes) : read;
  const { what } = task;
  if (brought.answered === 0 && kept.size > 0 && (what.how === 'file' || what.how === 'live')) {
    throw new Refused(422, 'no-posts', 'No record of it has a value, so nothing would be left.');
  }
  const diff = diffOf(brought);
  if (what.how === 'live' && what.guards && diff.removed > kept.size * mostGone) {
    return { refused: null, run: null, diff, preview: null, isFew: false, isHeld: true };
  }
  // a look at a feed that has nothing new is no run
  if (what.how === 'live' && brought.written.length === 0 && diff.removed === 0) {
    return { refused: null, run: null, diff, preview: null, isFew: false, isHeld: false };
  }
  if (!task.keeps) {
    const preview = await previewOf(client, task.sourceId, source, kept, brought, diff);
    return { refused: null, run: null, diff, preview, isFew: false, isHeld: false };
  }
  const made = madeNew(source, known, brought);
  const file = fileOf(task, source, brought, undoes);
  const id = await keepRun(client, task, kept, brought, { diff, made, file, touched: null });
  await client.query('COMMIT');
  return { refused: null, run: id, diff, preview: null, isFew: false, isHeld: false };
}

/** What share of the posts may be gone at once without a person having looked. */
const mostGone = 1 / 3;

/** The file that the posts are of then, with the records of it that became none. */
function fileOf({ what }: RunTask, source: SourceState, { rejected }: Brought, undoes: Made | null): FileState {
  if (what.how === 'file' || what.how === 'live') return { fileName: what.fileName.slice(0, 200), rejected };
  return undoes?.file ?? { fileName: source.fileName, rejected: source.rejected };
}

function refusalOf(error: unknown): { status: number; code: string; detail: string } | null {
  if (error instanceof Refused) return { status: error.status, code: error.code, detail: error.message };
  if (error instanceof Error && error.name === 'FileProblem') {
    const { code, message } = error as FileProblem;
    return { status: code === 'too-large' ? 413 : 422, code, detail: message };
  }
  return refusalOfDatabase(error);
}

/** All records the source is to have, and its fields then. */
async function nextOf(
  client: Client,
  { sourceId, what, today }: RunTask,
  { fields, fileName, options }: SourceState,
  kept: Map<string, KeptPost>,
): Promise<{ fields: Field[]; records: NextRecord[]; rejected?: Rejection[] }> {
  const all = [...kept.values()];
  switch (what.how) {
    case 'file':
    case 'live': {
      // readers of files take most of a second to be loaded, and posts that come as such do without
      const { readOnDisk } = await import('../intake/given-files.js');
      const isAsBefore = Object.keys(what.given.options).length === 0 && endingOf(what.fileName) === endingOf(fileName);
      const given = isAsBefore ? { ...what.given, options } : what.given;
      const { records, rejected = [] } = readOnDisk(given, today);
      const idKey = fieldWithRole(fields, 'id')?.key;
      const names = records.names ?? [...new Set([...records].flatMap((record) => Object.keys(record)))];
      if (idKey !== undefined && !names.includes(idKey)) {
        const detail = `Posts of this source are known by “${idKey}”, which this does not have. Bring it in as a source of its own.`;
        throw new Refused(422, 'no-id', detail);
      }
      const next = fieldsWith(fields, records);
      const came: NextRecord[] = Array.from(records, (raw) => ({ raw }));
      if (what.how === 'live' || !what.keepsMissing) return { fields: next, records: came, rejected };
      // posts that name no id are known by their places in the file
      const here = new Set(came.map(({ raw }, i) => idOf(raw, next) || `post-${i + 1}`));
      const missing = all.filter(({ id, raw }) => !here.has(id) && !here.has(idOf(raw, next)));
      return { fields: next, records: [...came, ...missing.map(asNext)], rejected };
    }
    case 'posts': {
      const next = fieldsWith(fields, what.records);
      const byId = recordsById(what.records, fields);
      const stay = all.map(({ id, raw }) => ({ id, raw: { ...raw, ...byId.get(id) } }));
      const added = [...byId].filter(([id]) => !kept.has(id)).map(([id, raw]) => ({ id, raw }));
      return { fields: next, records: [...stay, ...added] };
    }
    case 'removal': {
      const gone = new Set(what.ids);
      const missing = what.ids.find((id) => !kept.has(id));
      if (missing !== undefined) throw missingPost(missing);
      return { fields, records: all.filter(({ id }) => !gone.has(id)).map(asNext) };
    }
    case 'undo':
      return { fields, records: await recordsBefore(client, sourceId, what.run, all) };
  }
}

function endingOf(name: string): string {
  return /\.\w+$/.exec(name)?.[0].toLowerCase() ?? '';
}

function asNext({ id, raw }: KeptPost): NextRecord {
  return { id, raw };
}

/** The records as they were before the newest run. */
async function recordsBefore(
  client: Client,
  sourceId: string,
  run: number,
  all: readonly KeptPost[],
): Promise<NextRecord[]> {
  const { rows: newest } = await client.query<{ id: number }>(
    `SELECT id FROM run WHERE source_id = $1 AND NOT undone AND how <> 'undo' AND state = 'done' ORDER BY id DESC LIMIT 1`,
    [sourceId],
  );
  const { rows: first } = await client.query<{ id: number }>('SELECT min(id) AS id FROM run WHERE source_id = $1', [
    sourceId,
  ]);
  if (newest[0]?.id !== run || first[0]?.id === run) {
    throw new Refused(409, 'not-newest', 'Only the newest run can be undone, and not the one that made the source.');
  }
  const { rows } = await client.query<{ post_id: string; raw: RawRecord | null; position: number | null }>(
    'SELECT post_id, raw, position FROM run_post WHERE run_id = $1',
    [run],
  );
  const before = new Map(rows.map((row) => [row.post_id, row]));
  const stay = all
    .filter(({ id }) => before.get(id)?.raw !== null)
    .map(({ id, raw, position }) => {
      const was = before.get(id);
      return { id, raw: was?.raw ?? raw, position };
    });
  const here = new Set(all.map(({ id }) => id));
  const back = rows.flatMap(({ post_id: id, raw, position }) =>
    here.has(id) || raw === null ? [] : [{ id, raw, position: position ?? 0 }],
  );
  return [...stay, ...back].sort((a, b) => a.position - b.position);
}
