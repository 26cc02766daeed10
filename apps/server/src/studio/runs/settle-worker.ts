import type { Client } from 'pg';
import { noteChange, withClient } from '../../database/worker-client.js';
import { otherTerms, readTerms } from '../../database/term-rows.js';
import { readReferences } from '../fields/source-records.js';
import { bring } from './bring.js';
import { writeRead } from './keep-run.js';
import { readKept, type SourceState } from './kept.js';

export interface SettleTask {
  sourceId: string;
  /** The day it is, `YYYY-MM-DD`. */
  today: string;
  databaseUrl: string;
}

/** Whether all is told; not where the source changed meanwhile. */
export interface Settled {
  refused: null;
  isDone: boolean;
}

/** PostgreSQL's code for a row that another transaction changed since this one began. */
const serializationFailure = '40001';

/**
 * Reads all posts of a source anew and keeps what its fields hold, and what is wrong with them, after few of them changed.
 * Nobody waits: it looks at one state of all, and keeps nothing where that is not the present one any more.
 */
export default async function settle({ sourceId, today, databaseUrl }: SettleTask): Promise<Settled> {
  try {
    await withClient(databaseUrl, 'ivy-lens settling', (client) => settleIn(client, sourceId, today));
    return { refused: null, isDone: true };
  } catch (error) {
    if ((error as { code?: string }).code !== serializationFailure) throw error;
    return { refused: null, isDone: false };
  }
}

async function settleIn(client: Client, sourceId: string, today: string): Promise<void> {
  await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ');
  const { rows } = await client.query<SourceState>(
    `SELECT fields, findings, rejected, posts, file_name AS "fileName", options FROM source WHERE id = $1 AND settles`,
    [sourceId],
  );
  const [source] = rows;
  if (!source) return;
  const kept = await readKept(client, sourceId);
  const known = await readTerms(client, sourceId);
  const references = await readReferences(client, source.fields);
  const records = [...kept.values()].map(({ id, raw }) => ({ id, raw }));
  const read = bring(kept, source.fields, records, known, { today, references });
  await client.query('SELECT 1 FROM source WHERE id = $1 FOR UPDATE', [sourceId]);
  const terms = otherTerms(known, read.terms);
  // values are others only where all together are read otherwise: an index from before is then of no use
  const isOther = read.written.length > 0 || Object.keys(terms).length > 0;
  if (isOther) await writeRead(client, sourceId, { ...read, terms });
  await client.query(
    `UPDATE source SET fields = $2::jsonb, findings = $3::jsonb, posts = $4, settles = false,
       revision = revision + $5::int, shaped_to = CASE WHEN $5 = 1 THEN 0 ELSE shaped_to END
     WHERE id = $1`,
    [sourceId, JSON.stringify(read.fields), JSON.stringify(read.findings), read.answered, isOther ? 1 : 0],
  );
  await noteChange(client, { kind: 'source', id: sourceId, few: !isOther });
  await client.query('COMMIT');
}
