import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { Problem } from '../problem/problem.js';
import { fromRoot } from '../shared/paths.js';
import type { IntakeProgress, IntakeResult, IntakeTask } from './intake-worker.js';

/** Files up to so many bytes are read beside larger ones, so that none waits for a large one. */
const smallFile = 2 * 1024 * 1024;

/** What one lane reads at once, what of it may wait, and what one file may take of memory (MB) and time (ms). */
const lanes = {
  small: { threads: 1, waiting: 100, megabytes: 400, patience: 2 * 60_000 },
  large: { threads: 1, waiting: 20, megabytes: 1000, patience: 15 * 60_000 },
} as const;

/** Told where a file stands: how many are read before it, or how far its reading is. */
export interface IntakeWatcher {
  waits?: (before: number) => void;
  reads?: (progress: IntakeProgress) => void;
}

interface Waiting {
  isReading: boolean;
  watcher: IntakeWatcher;
}

class Lane {
  readonly #pool: Piscina;
  readonly #waiting: Waiting[] = [];

  constructor(private readonly limits: (typeof lanes)[keyof typeof lanes]) {
    this.#pool = new Piscina({
      filename: fromRoot('apps', 'server', 'dist', 'intake', 'intake-worker.js'),
      minThreads: 0,
      maxThreads: limits.threads,
      // a thread that has nothing to do gives its memory back
      idleTimeout: 10_000,
      concurrentTasksPerWorker: 1,
      resourceLimits: { maxOldGenerationSizeMb: limits.megabytes, maxYoungGenerationSizeMb: 32 },
      execArgv: [],
    });
  }

  async close(): Promise<void> {
    await this.#pool.destroy();
  }

  async read(task: Omit<IntakeTask, 'port'>, signal: AbortSignal, watcher: IntakeWatcher): Promise<IntakeResult> {
    if (this.#waiting.length >= this.limits.waiting + this.limits.threads) {
      throw new Problem(503, 'too-many-waiting', 'Too many files wait to be read. Send this one again in a while.');
    }
    const { port1, port2 } = new MessageChannel();
    const here: Waiting = { isReading: false, watcher };
    this.#waiting.push(here);
    const late = new AbortController();
    let timer: NodeJS.Timeout | undefined;
    const begin = () => {
      here.isReading = true;
      timer = setTimeout(() => late.abort(), this.limits.patience);
    };
    port1.on('message', (progress: IntakeProgress) => watcher.reads?.(progress));
    this.#startNext(here, begin);
    try {
      this.#tellPlaces();
      return (await this.#pool.run(
        { ...task, port: port2 },
        { signal: AbortSignal.any([signal, late.signal]), transferList: [port2] },
      )) as IntakeResult;
    } catch (error) {
      if (late.signal.aborted && !signal.aborted) throw tooLong(this.limits.patience);
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw tooMuch();
      throw error;
    } finally {
      clearTimeout(timer);
      port1.close();
      this.#waiting.splice(this.#waiting.indexOf(here), 1);
      this.#begins.delete(here);
      this.#startNext();
      this.#tellPlaces();
    }
  }

  /** What is to be done when a file's turn comes. */
  readonly #begins = new Map<Waiting, () => void>();

  /** The pool reads in the order of asking, so whose turn it is is known without being told. */
  #startNext(added?: Waiting, begin?: () => void): void {
    if (added && begin) this.#begins.set(added, begin);
    for (const one of this.#waiting.slice(0, this.limits.threads)) {
      if (!one.isReading) this.#begins.get(one)?.();
    }
  }

  #tellPlaces(): void {
    this.#waiting.forEach((one, i) => {
      if (!one.isReading) one.watcher.waits?.(i);
    });
  }
}

/** Reads files in threads of their own, a few at once, each with a bound on what it may take. */
@Injectable()
export class IntakePool implements OnModuleDestroy {
  readonly #log = new Logger('Intake');
  readonly #small = new Lane(lanes.small);
  readonly #large = new Lane(lanes.large);

  async onModuleDestroy(): Promise<void> {
    await Promise.all([this.#small.close(), this.#large.close()]);
  }

  /**
   * Reads a file and keeps it as a source.
   * @param size  of the file, in bytes
   * @throws Problem with what is wrong about the file; the AbortError of `signal`
   */
  async read(
    task: Omit<IntakeTask, 'port'>,
    size: number,
    signal: AbortSignal,
    watcher: IntakeWatcher = {},
  ): Promise<void> {
    const started = performance.now();
    const result = await (size <= smallFile ? this.#small : this.#large).read(task, signal, watcher);
    if (result.refused) {
      const { status, code, detail } = result.refused;
      throw new Problem(status, code, detail);
    }
    const seconds = (performance.now() - started) / 1000;
    if (seconds > 60) this.#log.warn(`A file of ${size} bytes took ${seconds.toFixed(0)} s with its waiting.`);
  }
}

function tooLong(ms: number): Problem {
  const minutes = ms / 60_000;
  return new Problem(
    422,
    'too-slow',
    `The file took more than ${minutes} minutes to read, so it was given up. Bring it in as smaller ones.`,
  );
}

function tooMuch(): Problem {
  return new Problem(
    413,
    'too-much',
    'The file takes more memory to read than there is for one. Bring it in as smaller ones, or with fewer columns.',
  );
}
