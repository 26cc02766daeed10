import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { EventEmitter } from 'node:events';
import { notFound, Problem } from '../../problem/problem.js';
import { asProblem, problemBody, type ProblemBody } from '../../problem/problem.filter.js';

export type JobState = 'running' | 'done' | 'failed' | 'cancelled';

/** Long work as it is reported. */
export interface JobStatus {
  id: string;
  state: JobState;
  /** How many others come before; 0 once it is being worked on. */
  waits: number;
  done: number;
  /** 0 while it is not known. */
  total: number;
  /** How many are done in a second. */
  rate: number;
  result?: unknown;
  problem?: ProblemBody;
}

/** What work hears and reports. */
export interface JobHandle {
  signal: AbortSignal;
  waits(before: number): void;
  reads(progress: { done: number; total: number }): void;
}

interface Job {
  status: JobStatus;
  stop: AbortController;
  startedAt: number;
  changed: EventEmitter;
}

/** Finished jobs are reported for an hour, and no more than so many. */
const keptFor = 3_600_000;
const mostKept = 500;

/** Long work that goes on after its request was answered. It is this process's own: nothing of it outlives that. */
@Injectable()
export class Jobs implements OnModuleDestroy {
  readonly #jobs = new Map<string, Job>();

  onModuleDestroy(): void {
    for (const { stop } of this.#jobs.values()) stop.abort();
  }

  /** Begins work. What it returns is the job's result; what it throws, its problem. */
  start(work: (handle: JobHandle) => Promise<unknown>): JobStatus {
    this.#tidy();
    const status: JobStatus = { id: randomUUID(), state: 'running', waits: 0, done: 0, total: 0, rate: 0 };
    const job: Job = { status, stop: new AbortController(), startedAt: 0, changed: new EventEmitter() };
    job.changed.setMaxListeners(100);
    this.#jobs.set(status.id, job);
    const handle: JobHandle = {
      signal: job.stop.signal,
      waits: (before) => this.#tell(job, { waits: before }),
      reads: ({ done, total }) => {
        job.startedAt ||= performance.now() - 1;
        const seconds = (performance.now() - job.startedAt) / 1000;
        this.#tell(job, { waits: 0, done, total, rate: Math.round(done / Math.max(0.05, seconds)) });
      },
    };
    work(handle).then(
      (result) => this.#tell(job, { state: 'done', waits: 0, done: status.total, result }),
      (error: unknown) => {
        if (job.stop.signal.aborted) this.#tell(job, { state: 'cancelled', waits: 0 });
        else this.#tell(job, { state: 'failed', waits: 0, problem: problemBody(asProblem(error)) });
      },
    );
    return status;
  }

  status(id: string): JobStatus {
    return this.#job(id).status;
  }

  /** Cancels work; what is over already stays as it is. */
  cancel(id: string): void {
    const job = this.#job(id);
    if (job.status.state !== 'running') {
      throw new Problem(409, 'job-over', 'This is over already, so it can’t be cancelled any more.');
    }
    job.stop.abort();
  }

  /** Calls `report` with the status now and after each change, until it is over or nobody wants to know. */
  watch(id: string, report: (status: JobStatus) => void): () => void {
    const { status, changed } = this.#job(id);
    const tell = () => report(status);
    changed.on('change', tell);
    tell();
    return () => changed.off('change', tell);
  }

  #job(id: string): Job {
    const job = this.#jobs.get(id);
    if (!job) throw notFound('job', id);
    return job;
  }

  #tell(job: Job, change: Partial<JobStatus>): void {
    Object.assign(job.status, change);
    job.changed.emit('change');
    if (job.status.state !== 'running') setTimeout(() => this.#jobs.delete(job.status.id), keptFor).unref();
  }

  /** Those that were over first go first. */
  #tidy(): void {
    for (const [id, { status }] of this.#jobs) {
      if (this.#jobs.size < mostKept) break;
      if (status.state !== 'running') this.#jobs.delete(id);
    }
  }
}
