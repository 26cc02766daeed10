import { Inject, Injectable, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { Piscina } from 'piscina';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Problem } from '../../problem/problem.js';
import { removeLeftovers } from '../../shared/leftovers.js';
import { builtServer } from '../../shared/paths.js';
import { reachToken } from '../../outside/reach-token.js';
import type { Reach } from '../../outside/reach.js';
import type { FetchedPosts } from './fetch-posts.js';
import type { FetchResult, FetchTask } from './fetch-worker.js';

/** Milliseconds one fetch may take in all, and fetches at once. */
const most = { time: 15 * 60_000, atOnce: 3, waiting: 50 };

const folderName = 'ivy-lens-fetch-';

/** Why a fetch failed, with when the other side would like to be asked again. */
export class FetchProblem extends Problem {
  constructor(
    status: number,
    code: string,
    detail: string,
    readonly retryAfter: number | null,
  ) {
    super(status, code, detail);
  }
}

export type FetchWork = Omit<FetchTask, 'folder' | 'reach' | 'port' | 'today'>;

/** Fetches posts from elsewhere, in threads of their own, a few at once. */
@Injectable()
export class Fetches implements OnModuleInit, OnModuleDestroy {
  readonly #pool = new Piscina({
    filename: builtServer('studio', 'live', 'fetch-worker.js'),
    minThreads: 0,
    maxThreads: most.atOnce,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: 800 },
    execArgv: [],
  });

  constructor(@Inject(reachToken) private readonly reach: Reach) {}

  onModuleInit(): void {
    removeLeftovers(folderName);
  }

  async onModuleDestroy(): Promise<void> {
    await this.#pool.destroy();
  }

  /**
   * Fetches posts onto disk, and does something with them while they are there.
   * @throws Problem with what is wrong; the AbortError of `signal`
   */
  async fetch<T>(
    work: FetchWork,
    use: (fetched: FetchedPosts) => Promise<T> | T,
    { signal, tell }: { signal?: AbortSignal; tell?: (pages: number, posts: number) => void } = {},
  ): Promise<T> {
    if (this.#pool.queueSize >= most.waiting) {
      throw new Problem(503, 'too-many-waiting', 'Too many addresses are being asked. Try again in a moment.');
    }
    const folder = await mkdtemp(join(tmpdir(), `${folderName}${process.pid}-`));
    const { port1, port2 } = new MessageChannel();
    port1.on('message', ({ pages, posts }: { pages: number; posts: number }) => tell?.(pages, posts));
    const late = AbortSignal.timeout(most.time);
    const stop = signal ? AbortSignal.any([signal, late]) : late;
    try {
      const today = new Date().toISOString().slice(0, 10);
      const task: FetchTask = { ...work, folder, reach: this.reach, today, port: port2 };
      const result = (await this.#pool.run(task, { signal: stop, transferList: [port2] }).catch((error: unknown) => {
        if (late.aborted && !signal?.aborted) throw tooLong();
        if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw tooMuch();
        throw error;
      })) as FetchResult;
      if (result.refused) {
        const { status, code, detail, retryAfter } = result.refused;
        throw new FetchProblem(status, code, detail, retryAfter);
      }
      return await use(result.fetched);
    } finally {
      port1.close();
      await rm(folder, { recursive: true, force: true });
    }
  }
}

function tooLong(): Problem {
  return new Problem(
    422,
    'page-slow',
    `To fetch it all takes more than ${most.time / 60_000} minutes, so it was given up.`,
  );
}

function tooMuch(): Problem {
  return new Problem(
    413,
    'too-much',
    'What is there takes more memory to read than there is for one. Ask for less of it.',
  );
}
