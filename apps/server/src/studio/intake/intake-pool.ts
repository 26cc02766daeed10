import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { Problem } from '../../problem/problem.js';
import { builtServer } from '../../shared/paths.js';
import type { IntakeProgress, IntakeResult, IntakeTask } from './intake-worker.js';

/** Files up to so many bytes are read beside larger ones, so that none waits for a large one. */
const smallFile = 2 * 1024 * 1024;

/** What one lane reads at once, what of it may wait, and what one file may take of memory (MB) and time (ms). */
const lanes = {
  small: { threads: 1, waiting: 100, megabytes: 400, patience: 2 * 60_000 },
  large: { threads: 1, waiting: 20, megabytes: 1000, patience: 15 * 60_000 },
} as const;

/** Called with where a file stands: how many are read before it, or how far its reading is. */
export interface IntakeWatcher {
  waits?: (before: number) => void;
  reads?: (progress: IntakeProgress) => void;
}

/** Whose turn it is: so many at once, the others in the order they came, each told how many come before it. */
class Turns {
  #busy = 0;
  readonly #waiting: { begin: () => void; watcher: IntakeWatcher }[] = [];

  constructor(private readonly atOnce: number) {}

  get waiting(): number {
    return this.#waiting.length;
  }

  /** Done when it is one's turn. Whoever had one must end it. */
  take(signal: AbortSignal, watcher: IntakeWatcher): Promise<void> {
    signal.throwIfAborted();
    if (this.#busy < this.atOnce) {
      this.#busy++;
      return Promise.resolve();
    }
    return new Promise((done, fail) => {
      const giveUp = () => {
        this.#waiting.splice(this.#waiting.indexOf(one), 1);
        this.#tellPlaces();
        fail(new DOMException('It was cancelled.', 'AbortError'));
      };
      const one = {
        watcher,
        begin: () => {
          signal.removeEventListener('abort', giveUp);
          done();
        },
      };
      signal.addEventListener('abort', giveUp, { once: true });
      this.#waiting.push(one);
      this.#tellPlaces();
    });
  }

  end(): void {
    const next = this.#waiting.shift();
    if (next) next.begin();
    else this.#busy--;
    this.#tellPlaces();
  }

  #tellPlaces(): void {
    this.#waiting.forEach(({ watcher }, i) => watcher.waits?.(this.#busy + i));
  }
}

class Lane {
  readonly #pool: Piscina;
  readonly #turns: Turns;

  constructor(private readonly limits: (typeof lanes)[keyof typeof lanes]) {
    // the pool has a queue of its own, but leaves it standing when a thread is stopped, so it is never made use of
    this.#turns = new Turns(limits.threads);
    this.#pool = new Piscina({
      filename: builtServer('studio', 'intake', 'intake-worker.js'),
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
    if (this.#turns.waiting >= this.limits.waiting) {
      throw new Problem(503, 'too-many-waiting', 'Too many files wait to be read. Send this one again in a while.');
    }
    await this.#turns.take(signal, watcher);
    watcher.waits?.(0);
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (progress: IntakeProgress) => watcher.reads?.(progress));
    const late = new AbortController();
    const timer = setTimeout(() => late.abort(), this.limits.patience);
    try {
      const stop = AbortSignal.any([signal, late.signal]);
      return (await this.#pool.run({ ...task, port: port2 }, { signal: stop, transferList: [port2] })) as IntakeResult;
    } catch (error) {
      if (late.signal.aborted && !signal.aborted) throw tooLong(this.limits.patience);
      if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw tooMuch();
      throw error;
    } finally {
      clearTimeout(timer);
      port1.close();
      this.#turns.end();
    }
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
