import type { Lens, DryRun, SightName, Sights } from '@ivy/core';
import { ApiProblem, urlOf } from '@ivy/client';
import { api } from '../api/api.js';
import type { FromWorker, ToWorker } from './dry-run-worker.js';

/** Whoever tries a lens out: the server, or a worker that holds the posts. */
export interface DryRuns {
  /**
   * @param from  where pages stand below one another: the first one wanted, 1 if not said
   * @throws ApiProblem of settings that can't work, Unreachable, or the AbortError of `signal`
   */
  run(lens: Lens, address: string, signal: AbortSignal, from?: number): Promise<DryRun>;
  /**
   * Looks at a lens at an address. Throws as `run` does.
   * @param tell  told how much of it is done, from 0 to 1, where that can be told
   */
  see<K extends SightName>(
    what: Sight<K>,
    signal: AbortSignal,
    tell?: (share: number) => void,
  ): Promise<Sights[K]['seen']>;
  stop(): void;
}

/** What is looked at. */
export interface Sight<K extends SightName = SightName> {
  name: K;
  lens: Lens;
  address: string;
  wanted: Sights[K]['wanted'];
}

/** Asks the server, which can hold any source. */
export class ServerDryRuns implements DryRuns {
  constructor(private readonly slug: string) {}

  run(lens: Lens, address: string, signal: AbortSignal, from?: number): Promise<DryRun> {
    return api.ask(
      'post',
      '/api/v1/lenses/{slug}/draft/dry-run',
      { slug: this.slug },
      { body: { config: lens, address, ...(from !== undefined && { from }) }, signal },
    );
  }

  async see<K extends SightName>({ name, ...what }: Sight<K>, signal: AbortSignal): Promise<Sights[K]['seen']> {
    return this.#looks[name](what, signal);
  }

  /** Each look has a route of its own, which says what it takes and gives. */
  readonly #looks: {
    [K in SightName]: (what: Omit<Sight<K>, 'name'>, signal: AbortSignal) => Promise<Sights[K]['seen']>;
  } = {
    nearest: ({ lens: config, address, wanted: { of } }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/nearest', this.#of, { body: { config, address, ...of }, signal }),
    'ways-in': ({ lens: config, address, wanted }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/ways-in', this.#of, {
        body: { config, address, ...wanted },
        signal,
      }),
    findings: ({ lens: config, address }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/findings', this.#of, { body: { config, address }, signal }),
    'dead-ends': ({ lens: config, address }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/dead-ends', this.#of, { body: { config, address }, signal }),
    faults: ({ lens: config, wanted: { address } }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/faults', this.#of, { body: { config, address }, signal }),
    sitemap: ({ lens: config, address }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/sitemap', this.#of, { body: { config, address }, signal }),
    'cross-table': ({ lens: config, address, wanted }, signal) =>
      api.ask('post', '/api/v1/lenses/{slug}/draft/cross-table', this.#of, {
        body: { config, address, ...wanted },
        signal,
      }),
  };

  get #of(): { slug: string } {
    return { slug: this.slug };
  }

  stop(): void {
    // nothing of its own runs
  }
}

/** Posts up to which a source is held in the browser. */
export const mostPostsHeld = 50_000;

/** A source, and what the lens on it is called. */
interface HeldSource {
  name: string;
  slug: string;
  updatedAt: string;
}

/** Whoever waits for an answer of the worker. */
interface Waiting {
  done: (what: unknown) => void;
  fail: (error: unknown) => void;
  tell?: ((share: number) => void) | undefined;
}

/**
 * Asks a worker that loads the source's index, so that a change is seen without a way over the network. Until the
 * index is there, and should it not come, the server is asked.
 */
export class WorkerDryRuns implements DryRuns {
  #worker: Worker | null = null;
  #ready = false;
  #stopped = false;
  #next = 1;
  readonly #waiting = new Map<number, Waiting>();

  /**
   * @param makeWorker  left to the caller, so that tests bring their own
   */
  constructor(
    private readonly instead: DryRuns,
    about: HeldSource,
    makeWorker: () => Worker,
  ) {
    void this.#load(about, makeWorker);
  }

  /** Whether answers come from the worker by now. */
  get isReady(): boolean {
    return this.#ready;
  }

  run(lens: Lens, address: string, signal: AbortSignal, from?: number): Promise<DryRun> {
    if (!this.#ready || !this.#worker) return this.instead.run(lens, address, signal, from);
    return this.#ask<DryRun>((id) => ({ ask: 'try', id, lens, address, ...(from !== undefined && { from }) }), signal);
  }

  see<K extends SightName>(
    what: Sight<K>,
    signal: AbortSignal,
    tell?: (share: number) => void,
  ): Promise<Sights[K]['seen']> {
    if (!this.#ready || !this.#worker) return this.instead.see(what, signal, tell);
    return this.#ask<Sights[K]['seen']>((id) => ({ ask: 'see', id, ...what }), signal, tell);
  }

  #ask<T>(message: (id: number) => ToWorker, signal: AbortSignal, tell?: (share: number) => void): Promise<T> {
    const id = this.#next++;
    const worker = this.#worker!;
    return new Promise<T>((done, fail) => {
      this.#waiting.set(id, { done: done as Waiting['done'], fail, tell });
      signal.addEventListener('abort', () => {
        worker.postMessage({ ask: 'leave', id } satisfies ToWorker);
        fail(new DOMException('Overtaken', 'AbortError'));
      });
      worker.postMessage(message(id));
    }).finally(() => this.#waiting.delete(id));
  }

  stop(): void {
    this.#stopped = true;
    this.#ready = false;
    this.#worker?.terminate();
    this.#worker = null;
  }

  async #load({ name, ...source }: HeldSource, makeWorker: () => Worker): Promise<void> {
    const bytes = await api
      .fetch(`${urlOf('/api/v1/sources/{slug}/index', source)}?of=${encodeURIComponent(source.updatedAt)}`)
      .then((response) => response.arrayBuffer())
      .catch(() => null);
    // the Bench may have been left while the index was on its way
    if (!bytes || this.#stopped) return;
    const worker = makeWorker();
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => this.#hear(data);
    worker.onerror = () => this.#giveUp();
    this.#worker = worker;
    const about = { name, source: source.slug };
    worker.postMessage({ ask: 'load', bytes, about } satisfies ToWorker, [bytes]);
  }

  #hear(message: FromWorker): void {
    if (message.said === 'loaded') this.#ready = true;
    else if (message.said === 'not-loaded') this.#giveUp();
    else {
      const waiting = this.#waiting.get(message.id);
      if (message.said === 'dry-run') waiting?.done(message.dryRun);
      else if (message.said === 'seen') waiting?.done(message.seen);
      else if (message.said === 'share') waiting?.tell?.(message.share);
      else waiting?.fail(new ApiProblem(422, 'bad-config', message.problem, message.errors));
    }
  }

  /** The server answers from here on; whoever waits is told to try again. */
  #giveUp(): void {
    this.stop();
    for (const { fail } of this.#waiting.values()) fail(new Error('The answer did not come. Try again.'));
  }
}

/** The way a source's lens is tried out. */
export function dryRunsFor(slug: string, source: HeldSource & { posts: number }): DryRuns {
  const server = new ServerDryRuns(slug);
  if (source.posts > mostPostsHeld || typeof Worker === 'undefined') return server;
  return new WorkerDryRuns(
    server,
    source,
    () => new Worker(new URL('./dry-run-worker.ts', import.meta.url), { type: 'module' }),
  );
}
