import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { Run } from '../../database/run.entity.js';
import { notFound } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { Thread } from '../../shared/thread.js';
import { SourcesService } from '../sources/sources.service.js';
import type { Bringing, RunTask } from './run-task.js';
import type { RunResult } from './run-worker.js';
import { runViews, type RunLooked, type RunMade, type RunView } from './run.view.js';

/** Runs that are listed. */
const listed = 100;

/** Brings posts in where there are some already: in place of all, beside the others, or away again. */
@Injectable()
export class RunsService implements OnModuleDestroy {
  readonly #thread = new Thread<RunTask, RunResult>(['studio', 'runs', 'run-worker.js'], {
    megabytes: 1400,
    patience: 10 * 60_000,
    words: 'Reading these posts',
  });

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly sources: SourcesService,
    private readonly changes: Changes,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await this.#thread.close();
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

  async undo(slug: string, run: number): Promise<RunMade> {
    const { id: sourceId } = await this.sources.find(slug);
    if (!(await this.database.getRepository(Run).existsBy({ id: run, sourceId }))) throw notFound('run', String(run));
    return this.bring(slug, { how: 'undo', run });
  }

  async #run(slug: string, what: Bringing, keeps: boolean) {
    const source = await this.sources.find(slug);
    const { url } = this.database.options as { url: string };
    const today = new Date().toISOString().slice(0, 10);
    const task: RunTask = { sourceId: source.id, what, keeps, today, databaseUrl: url };
    const result = await this.#thread.run(task);
    if (keeps) this.changes.tell({ kind: 'source', id: source.id });
    return result;
  }
}
