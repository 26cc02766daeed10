import type { FileFormat, Join, Paging, ReadOptions } from '@ivy/formats';
import type { Client } from 'pg';

/** What is kept of a live source as it begins. */
export interface LiveColumns {
  feeds: { address: string; name: string }[];
  every: number;
  format: FileFormat | null;
  options: ReadOptions;
  /** Headers, sealed, in base64; null for none. */
  sealed: string | null;
  headerNames: string[];
  paging: Paging | null;
  joins: Join[];
  found: string[];
  pages: { address: string; etag: string; modified: string }[];
  ping: string;
}

/** Keeps where a new source comes from, in the transaction that is open. */
export async function insertLive(client: Client, sourceId: string, live: LiveColumns): Promise<void> {
  const { every, format, sealed, headerNames, ping, ...rest } = live;
  const json = [rest.feeds, rest.options, rest.paging, rest.joins, rest.found, rest.pages].map((one) =>
    one === null ? null : JSON.stringify(one),
  );
  await client.query(
    `INSERT INTO live (source_id, every, format, sealed, header_names, ping, feeds, options, paging, joins, found, pages, checked_at, next_at)
     VALUES ($1, $2, $3, decode($4, 'base64'), $5::text[], $6, $7::jsonb, $8::jsonb, $9::jsonb, $10::jsonb, $11::jsonb, $12::jsonb,
       now(), CASE WHEN $2 > 0 THEN now() + make_interval(mins => $2) END)`,
    [sourceId, every, format, sealed, headerNames, ping, ...json],
  );
}
