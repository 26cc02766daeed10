import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Client } from 'pg';
import type { DataSource, EntityManager } from 'typeorm';

/** What changed: a source's posts, or a lens's draft or releases. */
export type Change = { kind: 'source'; id: string } | { kind: 'lens'; slug: string };

const channel = 'ivy_change';

/**
 * Tells every server process what changed, through PostgreSQL's LISTEN and NOTIFY. A process that lost its
 * connection can't know what it missed, so it forgets all it holds.
 */
@Injectable()
export class Changes implements OnModuleInit, OnModuleDestroy {
  readonly #log = new Logger('Changes');
  readonly #listeners = new Set<(change: Change | 'everything') => void>();
  #client: Client | undefined;
  #closed = false;

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  async onModuleInit(): Promise<void> {
    await this.#listen();
  }

  async onModuleDestroy(): Promise<void> {
    this.#closed = true;
    await this.#client?.end();
  }

  on(listener: (change: Change | 'everything') => void): void {
    this.#listeners.add(listener);
  }

  /** Notes a change in a transaction: other processes hear of it when, and only if, it commits. */
  async note(manager: EntityManager, change: Change): Promise<void> {
    await manager.query('SELECT pg_notify($1, $2)', [channel, JSON.stringify(change)]);
  }

  /** Tells this process at once, after the commit, so that its next answer is the new one. */
  tell(change: Change | 'everything'): void {
    for (const listener of this.#listeners) listener(change);
  }

  async #listen(): Promise<void> {
    const { url } = this.database.options as { url?: string };
    const client = new Client({ connectionString: url, application_name: 'ivy-lens changes' });
    client.on('notification', ({ payload }) => {
      if (payload) this.tell(JSON.parse(payload) as Change);
    });
    client.on('error', (error) => this.#log.warn(`Lost the line to PostgreSQL: ${error.message}`));
    client.on('end', () => {
      if (!this.#closed) setTimeout(() => void this.#again(), 500).unref();
    });
    await client.connect();
    await client.query(`LISTEN ${channel}`);
    this.#client = client;
  }

  async #again(): Promise<void> {
    if (this.#closed) return;
    try {
      await this.#listen();
      this.tell('everything');
    } catch {
      setTimeout(() => void this.#again(), 1000).unref();
    }
  }
}
