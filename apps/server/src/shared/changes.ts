import { Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource, EntityManager } from 'typeorm';
import { Line, type LineState } from '../database/line.js';
import { changeChannel, type Change } from './change-channel.js';

export type { Change } from './change-channel.js';

/** Hears of a change; a promise it returns is kept once the new state is the one that is given. It never fails. */
type Listener = (change: Change | 'everything') => void | Promise<void>;

/**
 * Tells every server process what changed, through PostgreSQL's LISTEN and NOTIFY. A process that lost its connection
 * can't know what it missed, so everything it holds is in doubt then.
 */
@Injectable()
export class Changes implements OnModuleInit, OnModuleDestroy {
  readonly #listeners = new Set<Listener>();
  readonly #line: Line;

  constructor(@InjectDataSource() database: DataSource) {
    const { url } = database.options as { url: string };
    this.#line = new Line(
      url,
      changeChannel,
      (message) => void this.tell(JSON.parse(message) as Change),
      () => void this.tell('everything'),
    );
  }

  async onModuleInit(): Promise<void> {
    await this.#line.open();
  }

  async onModuleDestroy(): Promise<void> {
    await this.#line.close();
  }

  on(listener: Listener): void {
    this.#listeners.add(listener);
  }

  /** Notes a change in a transaction: other processes hear of it when, and only if, it commits. */
  async note(manager: EntityManager, change: Change): Promise<void> {
    await manager.query('SELECT pg_notify($1, $2)', [changeChannel, JSON.stringify(change)]);
  }

  /**
   * Tells this process at once, after the commit, so that its next answer is the new one; of a change of few things the first
   * answer after what this returns is kept.
   */
  async tell(change: Change | 'everything'): Promise<void> {
    await Promise.all([...this.#listeners].map(async (listener) => listener(change)));
  }

  /** Whether PostgreSQL answers within some milliseconds, and if not, why. */
  database(within: number): Promise<LineState> {
    return this.#line.state(within);
  }
}
