import { Client } from 'pg';
import { changeChannel, type Change } from '../shared/change-channel.js';

/**
 * Lends a connection of its own to a worker thread, which has no pool. A transaction that is open when the work ends, however
 * it ends, goes with the connection.
 * @param name  what the connection is called in PostgreSQL
 */
export async function withClient<T>(
  databaseUrl: string,
  name: string,
  work: (client: Client) => Promise<T>,
): Promise<T> {
  const client = new Client({
    connectionString: databaseUrl,
    application_name: name,
    connectionTimeoutMillis: 5_000,
    statement_timeout: 120_000,
    query_timeout: 125_000,
  });
  try {
    await client.connect();
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Begins a transaction: to keep something, or to look at one state of all. */
export async function begin(client: Client, keeps: boolean): Promise<void> {
  await client.query(keeps ? 'BEGIN' : 'BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
}

/** Tells every process of a change, if, and only if, the transaction that is open is kept. */
export async function noteChange(client: Client, change: Change): Promise<void> {
  await client.query('SELECT pg_notify($1, $2)', [changeChannel, JSON.stringify(change)]);
}
