import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';

/** How long, in ms, it is remembered before it is written down. */
const pause = 60_000;

/** When released lenses were last asked for: remembered at each answer, and written down once a minute. */
@Injectable()
export class AskedLenses implements OnModuleDestroy {
  readonly #log = new Logger(AskedLenses.name);
  #asked = new Map<string, number>();
  #timer: NodeJS.Timeout | undefined;

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /** @param id  of the lens */
  note(id: string): void {
    this.#asked.set(id, Date.now());
    if (this.#timer) return;
    this.#timer = setTimeout(() => void this.flush(), pause);
    // nothing waits for it, neither an answer nor the end of the process
    this.#timer.unref();
  }

  /** Writes down what is remembered. What could not be written is tried again with the next. */
  async flush(): Promise<void> {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    const asked = this.#asked;
    if (asked.size === 0) return;
    this.#asked = new Map();
    try {
      await this.database.query(
        `UPDATE lens SET asked_at = greatest(lens.asked_at, seen.at)
         FROM unnest($1::uuid[], $2::timestamptz[]) AS seen (id, at) WHERE lens.id = seen.id`,
        [[...asked.keys()], [...asked.values()].map((at) => new Date(at).toISOString())],
      );
    } catch (error) {
      this.#log.warn(`When lenses were asked for could not be written down: ${String(error)}`);
      for (const [id, at] of asked) if (!this.#asked.has(id)) this.#asked.set(id, at);
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.flush();
  }
}
