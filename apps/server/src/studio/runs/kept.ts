import type { FieldDescription, Finding, Rejection } from '@ivy/core';
import type { ReadOptions } from '@ivy/formats';
import type { Client } from 'pg';
import type { KeptPost } from './bring.js';

/** Posts fetched and written in one go. */
export const together = 2000;

/** What is kept of a source besides its posts and terms. */
export interface SourceState {
  fields: FieldDescription[];
  findings: Finding[];
  rejected: Rejection[];
  /** Posts that are answered. */
  posts: number;
  fileName: string;
  /** How the file is read, where that was said. */
  options: ReadOptions;
}

/** The posts of a source by their ids, in their order. */
export async function readKept(client: Client, sourceId: string): Promise<Map<string, KeptPost>> {
  const kept = new Map<string, KeptPost>();
  await client.query(
    `DECLARE kept NO SCROLL CURSOR FOR
     SELECT id, position, raw, "values", left_by AS "leftBy" FROM post WHERE source_id = $1 ORDER BY position, id`,
    [sourceId],
  );
  for (;;) {
    const { rows } = await client.query<KeptPost>(`FETCH ${together} FROM kept`);
    if (rows.length === 0) break;
    for (const post of rows) kept.set(post.id, post);
  }
  await client.query('CLOSE kept');
  return kept;
}
