import type { Mark } from '@ivy/core';
import type { FoundLook, PageFacts, PageSheets } from '@ivy/formats/page';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { Problem } from '../problem/problem.js';
import { builtServer } from '../shared/paths.js';
import type { PageTask } from './page-worker.js';

/** Milliseconds a page may take to be read. */
const patience = 10_000;

/** Reads pages and sheets of others in a thread of its own, with a bound on what that may take. */
@Injectable()
export class PageReader implements OnModuleDestroy {
  readonly #pool = new Piscina({
    filename: builtServer('outside', 'page-worker.js'),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: 300 },
    execArgv: [],
  });

  async onModuleDestroy(): Promise<void> {
    await this.#pool.destroy();
  }

  sheetsOf(page: string, address: string): Promise<PageSheets> {
    return this.#read({ read: 'sheets', page, address });
  }

  factsOf(page: string, address: string): Promise<PageFacts> {
    return this.#read({ read: 'facts', page, address });
  }

  /** How often the page has what each mark looks for. */
  markCountsOf(page: string, marks: Mark[]): Promise<number[]> {
    return this.#read({ read: 'marks', page, marks });
  }

  lookOf(sheets: string[]): Promise<FoundLook[]> {
    return this.#read({ read: 'look', sheets });
  }

  async #read<T>(task: PageTask): Promise<T> {
    try {
      return (await this.#pool.run(task, { signal: AbortSignal.timeout(patience) })) as T;
    } catch {
      throw new Problem(
        422,
        'page-too-large',
        'That takes too long or too much memory to read. Give a smaller page, or paste a part of it.',
      );
    }
  }
}
