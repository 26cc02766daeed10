import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { Run } from '../../database/run.entity.js';
import { Source } from '../../database/source.entity.js';
import { notFound } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { Thread } from '../../shared/thread.js';
import { SourcesService } from '../sources/sources.service.js';
import type { Bringing, RunTask } from './run-task.js';
import type { RunResult } from './run-worker.js';
import type { Settled, SettleTask } from './settle-worker.js';
import { runViews, type RunLooked, type RunMade, type RunView } from './run.view.js';

/** Runs that are listed. */
const listed = 100;

/** How long, in ms, posts rest before what their fields hold is told anew. */
const restBeforeSettling = 1_500;

/** How long, in ms, after a server began its thread for posts is started: whoever asks it first thing comes before. */
const restBeforeReady = 5_000;

/** Brings posts in where there are some already: in place of all, beside the others, or away again. */
@Injectable()
export class RunsService implements OnApplicationBootstrap, OnModuleDestroy {
  readonly #log = new Logger('RunsService');
  readonly #thread = new Thread<RunTask, RunResult>(['studio', 'runs', 'run-worker.js'], {
    megabytes: 1400,
    patience: 10 * 60_000,
    words: 'Reading these posts',
    waits: true,
  });

  /** Whoever brings posts in never waits for this one. */
  readonly #settling = new Thread<SettleTask, Settled>(['studio', 'runs', 'settle-worker.js'], {
    megabytes: 1400,
    patience: 10 * 60_000,
    words: 'Reading these posts',
  });
  #timer: NodeJS.Timeout | undefined;
  #ready: NodeJS.Timeout | undefined;
  #settled: Promise<void> = Promise.resolve();
  #isClosed = false;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly sources: SourcesService,
    private readonly changes: Changes,
  ) {}

  /** What a server that was killed left to do is done by the next. */
  onApplicationBootstrap(): void {
    this.#settleSoon();
    this.#ready = setTimeout(() => this.#thread.getReady(), restBeforeReady).unref();
  }

  async onModuleDestroy(): Promise<void> {
    this.#isClosed = true;
    clearTimeout(this.#timer);
    clearTimeout(this.#ready);
    await Promise.all([this.#thread.close(), this.#settling.close()]);
    await this.#settled;
  }

  /** The runs of a source, the newest first. */
  async list(slug: string): Promise<RunView[]> {
    const { id: sourceId } = await this.sources.find(slug);
    const runs = await this.database
      .getRepository(Run)
      .find({ where: { sourceId }, order: { id: 'DESC' }, take: listed });
    return runViews(runs);
  }

  /** What a run would change; nothing is kept. */
  async preview(slug: string, what: Bringing): Promise<RunLooked> {
    const result = await this.#run(slug, what, false);
    return { run: null, ...result.preview! };
  }

  /** Brings posts in for good: posts, terms, fields and findings in one transaction. */
  async bring(slug: string, what: Bringing): Promise<RunMade> {
    const { run, diff } = await this.#run(slug, what, true);
    return { run, ...diff };
  }

  /** Brings in what a feed holds now; where too much would go, only what that would be is told. */
  async bringLive(slug: string, what: Extract<Bringing, { how: 'live' }>): Promise<RunMade & { isHeld: boolean }> {
    const { run, diff, isHeld } = await this.#run(slug, what, true);
    return { run, ...diff, isHeld };
  }

  async undo(slug: string, run: number): Promise<RunMade> {
    const { id: sourceId } = await this.sources.find(slug);
    if (!(await this.database.getRepository(Run).existsBy({ id: run, sourceId }))) throw notFound('run', String(run));
    return this.bring(slug, { how: 'undo', run });
  }

  async #run(slug: string, what: Bringing, keeps: boolean) {
    const source = await this.sources.find(slug);
    const result = await this.#thread.run({ ...this.#task(source.id), what, keeps });
    if (keeps && result.run !== null) {
      await this.changes.tell({ kind: 'source', id: source.id, few: result.isFew });
      this.#settleSoon();
    }
    return result;
  }

  #task(sourceId: string): SettleTask {
    const { url } = this.database.options as { url: string };
    return { sourceId, today: new Date().toISOString().slice(0, 10), databaseUrl: url };
  }

  /** Tells anew what fields hold, once nothing more comes for a while. */
  #settleSoon(): void {
    if (this.#isClosed) return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => {
      this.#settled = this.#settled.then(() => this.#settle());
    }, restBeforeSettling).unref();
  }

  async #settle(): Promise<void> {
    try {
      const due = await this.database.getRepository(Source).find({ select: { id: true }, where: { settles: true } });
      for (const { id } of due) {
        const { isDone } = await this.#settling.run(this.#task(id));
        if (!isDone) this.#settleSoon();
      }
    } catch (error) {
      // it is due still, and done after the next run or start
      if (!this.#isClosed) this.#log.warn(`What the fields of a source hold could not be told anew: ${String(error)}`);
    }
  }
}
