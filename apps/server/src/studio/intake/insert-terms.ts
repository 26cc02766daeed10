import type { Term } from '@ivy/core';
import type { Client } from 'pg';

const together = 20_000;

/** Keeps the terms of a field in their order: one statement of one document for many of them. */
export async function insertTerms(
  client: Client,
  sourceId: string,
  field: string,
  terms: readonly Term[],
): Promise<void> {
  for (let start = 0; start < terms.length; start += together) {
    const rows = terms
      .slice(start, start + together)
      .map(({ slug, label, parent }, i) => ({ slug, position: start + i, label, parent }));
    await client.query(
      `INSERT INTO term (source_id, field, slug, position, label, parent)
       SELECT $1, $2, r.slug, r.position, r.label, r.parent
       FROM jsonb_to_recordset($3::jsonb) AS r(slug text, position int, label text, parent text)`,
      [sourceId, field, JSON.stringify(rows)],
    );
  }
}
