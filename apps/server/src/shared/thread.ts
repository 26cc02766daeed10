import { Piscina } from 'piscina';
import { Problem } from '../problem/problem.js';
import { builtServer } from './paths.js';

/** Why something could not be done, as a worker can say it to the thread that asked. */
export interface Refusal {
  status: number;
  code: string;
  detail: string;
}

/** What one task may take, and how many are done at once. */
interface Limits {
  megabytes: number;
  /** Milliseconds. */
  patience: number;
  /** What was asked for, in the words of whoever is told that it takes too long: “Reading this field”. */
  words: string;
  /** Whether one thread waits for tasks, however long none comes. */
  waits?: true;
}

/** Tasks done at once: a short one need not wait for a long one. */
const atOnce = 2;

/** Does long tasks in threads of their own, each with a bound on what it may take. */
export class Thread<Task, Result extends { refused: Refusal | null }> {
  #made: Piscina | undefined;

  /** @param file  of the worker, as a path below the server's build */
  constructor(
    private readonly file: readonly string[],
    private readonly limits: Limits,
  ) {}

  get #pool(): Piscina {
    return (this.#made ??= new Piscina({
      filename: builtServer(...this.file),
      minThreads: this.limits.waits ? 1 : 0,
      maxThreads: atOnce,
      // a thread that has nothing to do gives its memory back
      idleTimeout: 10_000,
      resourceLimits: { maxOldGenerationSizeMb: this.limits.megabytes },
      execArgv: [],
    }));
  }

  /** Starts what waits for tasks, so that whoever brings the first need not wait for it. */
  getReady(): void {
    void this.#pool;
  }

  /** @throws Problem with why it was refused, or that it took too long or too much memory */
  async run(task: Task): Promise<Extract<Result, { refused: null }>> {
    const late = AbortSignal.timeout(this.limits.patience);
    const answered = this.#pool.run(task, { signal: late }) as Promise<Result>;
    const result = await answered.catch((error: unknown) => {
      if (!late.aborted && (error as { code?: string }).code !== 'ERR_WORKER_OUT_OF_MEMORY') throw error;
      const detail = `${this.limits.words} takes too long or too much memory. Nothing was changed.`;
      throw new Problem(422, 'too-slow', detail);
    });
    const { refused } = result;
    if (refused) throw new Problem(refused.status, refused.code, refused.detail);
    return result as Extract<Result, { refused: null }>;
  }

  async close(): Promise<void> {
    await this.#made?.destroy();
  }
}
