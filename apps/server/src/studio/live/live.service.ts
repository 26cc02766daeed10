import { Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { randomBytes } from 'node:crypto';
import { In, type DataSource } from 'typeorm';
import { LiveRow } from '../../database/live.entity.js';
import type { Source } from '../../database/source.entity.js';
import { readUrl } from '../../outside/open-outside.js';
import { Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import type { JobHandle } from '../intake/jobs.js';
import { RunsService } from '../runs/runs.service.js';
import type { RunMade } from '../runs/run.view.js';
import { SourcesService } from '../sources/sources.service.js';
import { Fetches, FetchProblem } from './fetches.js';
import type { Feed, FetchedPosts } from './fetch-posts.js';
import type { LiveBody, LiveSourceBody } from './live.bodies.js';
import { claimLasts, liveViewOf, type LiveView } from './live.view.js';
import { Secrets } from './secrets.js';

/** Milliseconds between two looks for sources that are due; minutes between two where nobody says how many. */
const lookEvery = 5_000;
const usualEvery = 60;
/** Pages of one address at most; minutes that failures, and the other side, put the next look off by at most. */
const most = { pages: 2000, backoff: 24 * 60, asked: 7 * 24 * 60 };

/** What a refresh came to. */
export type Refreshed = RunMade & { state: 'done' | 'unchanged' | 'held' };

/** Keeps sources fresh whose posts come from elsewhere. */
@Injectable()
export class LiveService implements OnApplicationBootstrap, OnModuleDestroy {
  readonly #log = new Logger('LiveService');
  readonly #closing = new AbortController();
  readonly #busy = new Set<Promise<unknown>>();
  #timer: NodeJS.Timeout | undefined;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly sources: SourcesService,
    private readonly runs: RunsService,
    private readonly fetches: Fetches,
    private readonly secrets: Secrets,
    private readonly changes: Changes,
  ) {}

  onApplicationBootstrap(): void {
    this.#lookSoon();
  }

  async onModuleDestroy(): Promise<void> {
    clearTimeout(this.#timer);
    this.#closing.abort();
    await Promise.allSettled([...this.#busy]);
  }

  /** Where sources come from by themselves, by their ids. */
  async viewsOf(sources: readonly Source[]): Promise<Map<string, LiveView>> {
    const rows = await this.#rows.findBy({ sourceId: In(sources.map(({ id }) => id)) });
    return new Map(rows.map((row) => [row.sourceId, liveViewOf(row)]));
  }

  async viewOf(slug: string): Promise<LiveView | null> {
    const { id } = await this.sources.find(slug);
    const row = await this.#rows.findOneBy({ sourceId: id });
    return row && liveViewOf(row);
  }

  /** A new source of what is at an address. Nothing is kept of one that can’t be read. */
  async create(body: LiveSourceBody, handle?: Pick<JobHandle, 'signal' | 'waits' | 'reads'>): Promise<Source> {
    const { name, slug, format = null, options = {}, headers = {}, every = usualEvery } = body;
    const feeds = feedsOf(body);
    const work = {
      ...{ feeds, format, options: { ...options }, secret: headers, paging: undefined, joins: undefined },
      ...{ known: [], pages: most.pages },
    };
    const use = async ({ given, ...found }: FetchedPosts) => {
      if (!given) throw new Problem(422, 'page-failed', 'Nothing came from there.');
      const live = {
        ...{ feeds, every, format, options: { ...options }, headerNames: Object.keys(headers), ...found },
        sealed: (await this.secrets.seal(headers))?.toString('base64') ?? null,
        ping: randomBytes(24).toString('base64url'),
      };
      // what is read may be large: it waits among the large ones
      const intake = {
        given,
        size: Infinity,
        fileName: fileNameOf(feeds),
        name,
        ...(slug !== undefined && { slug }),
        live,
      };
      return this.sources.bringIn({ ...intake, site: new URL(feeds[0]!.address).origin }, handle?.signal, handle);
    };
    return this.fetches.fetch(work, use, {
      ...(handle && { signal: handle.signal, tell: (_pages, posts) => handle.reads({ done: posts, total: 0 }) }),
    });
  }

  /** Says where a source comes from, or comes from otherwise. Posts stay until the next look. */
  async change(slug: string, body: LiveBody): Promise<LiveView> {
    const { id } = await this.sources.find(slug);
    const feeds = feedsOf(body);
    const before = await this.#rows.findOneBy({ sourceId: id });
    const { headers, format = before?.format ?? null, every = before?.every ?? usualEvery } = body;
    const isElsewhere = JSON.stringify(feeds) !== JSON.stringify(before?.feeds);
    // a key for one place is not sent to another
    const isOtherPlace = !before || feeds.some(({ address }) => !originsOf(before.feeds).has(new URL(address).origin));
    const keepsKey = headers === undefined && !isOtherPlace;
    await this.#rows.save({
      ...{ sourceId: id, feeds, every, format, options: { ...(body.options ?? before?.options) } },
      ...(keepsKey ? {} : { sealed: await this.secrets.seal(headers ?? {}), headerNames: Object.keys(headers ?? {}) }),
      ...(isElsewhere && { paging: null, joins: null, found: [], pages: [], hub: null }),
      ...(!before && { ping: randomBytes(24).toString('base64url') }),
      ...{ failures: 0, problem: null, held: null, nextAt: every > 0 ? later(every) : null },
    });
    this.#tell(id);
    return liveViewOf(await this.#rows.findOneByOrFail({ sourceId: id }));
  }

  /** Its posts stay as they are from now on. */
  async stop(slug: string): Promise<void> {
    const { id } = await this.sources.find(slug);
    const { affected } = await this.#rows.delete({ sourceId: id });
    if (affected === 0) throw notLive(slug);
    this.#tell(id);
  }

  /**
   * Looks at once whether there is something new.
   * @param anyway  posts that are gone there go, however many they are
   */
  async refresh(slug: string, anyway: boolean): Promise<Refreshed> {
    const source = await this.sources.find(slug);
    const row = await this.#rows.findOneBy({ sourceId: source.id });
    if (!row) throw notLive(slug);
    if (!(await this.#claim(source.id))) {
      throw new Problem(409, 'at-it-already', 'It is being fetched at this moment. Wait until that is done.');
    }
    const work = this.#refresh(source, row, anyway);
    this.#busy.add(work);
    return work.finally(() => this.#busy.delete(work));
  }

  /** Has a source looked at soon, since the other side says that something changed. */
  async hurry(sourceId: string): Promise<void> {
    await this.#rows.update({ sourceId }, { nextAt: new Date() });
    this.#lookSoon(0);
  }

  get #rows() {
    return this.database.getRepository(LiveRow);
  }

  #tell(id: string): void {
    void this.changes.tell({ kind: 'source', id, few: true });
  }

  #lookSoon(wait = lookEvery): void {
    clearTimeout(this.#timer);
    if (this.#closing.signal.aborted) return;
    this.#timer = setTimeout(() => {
      const looking = this.#lookForDue().catch((error: unknown) => {
        if (!this.#closing.signal.aborted)
          this.#log.warn(`Sources that are due could not be looked for: ${String(error)}`);
      });
      this.#busy.add(looking);
      void looking.finally(() => {
        this.#busy.delete(looking);
        this.#lookSoon();
      });
    }, wait).unref();
  }

  async #lookForDue(): Promise<void> {
    const due: { source_id: string }[] = await this.database.query(
      `SELECT live.source_id FROM live JOIN source ON source.id = live.source_id
       WHERE next_at <= now() AND source.deleted_at IS NULL ORDER BY next_at LIMIT 3`,
    );
    await Promise.all(
      due.map(async ({ source_id: id }) => {
        if (!(await this.#claim(id))) return;
        const [row] = await this.#rows.findBy({ sourceId: id });
        const source = await this.sources.byId(id);
        // why it failed is kept with it, for whoever looks
        if (row && source) await this.#refresh(source, row, false).catch(() => {});
      }),
    );
  }

  /** Takes a source for this process: of several no more than one is at it. */
  async #claim(id: string): Promise<boolean> {
    const rows: unknown[][] = await this.database.query(
      `UPDATE live SET claimed_at = now()
       WHERE source_id = $1 AND (claimed_at IS NULL OR claimed_at < now() - make_interval(secs => $2)) RETURNING source_id`,
      [id, claimLasts / 1000],
    );
    return (rows[0]?.length ?? 0) > 0;
  }

  async #refresh(source: Source, row: LiveRow, anyway: boolean): Promise<Refreshed> {
    this.#tell(source.id);
    try {
      const secret = await this.secrets.open(row.sealed);
      if (secret === null) {
        throw new Problem(422, 'sealed', 'Its headers were sealed by another key. Give them anew.');
      }
      const isKnown = row.pages.length > 0 && !anyway && row.held === null;
      const work = {
        ...{ feeds: row.feeds, format: row.format, options: row.options, secret, pages: most.pages },
        paging: row.pages.length > 0 ? row.paging : undefined,
        joins: row.joins ?? undefined,
        known: isKnown ? row.pages : [],
      };
      const refreshed = await this.fetches.fetch(work, (fetched) => this.#bring(source, row, fetched, anyway), {
        signal: this.#closing.signal,
      });
      return refreshed;
    } catch (error) {
      if (!this.#closing.signal.aborted) await this.#failed(source, row, error);
      throw error;
    } finally {
      await this.#rows.update({ sourceId: source.id }, { claimedAt: null });
      this.#tell(source.id);
    }
  }

  async #bring(source: Source, row: LiveRow, fetched: FetchedPosts, anyway: boolean): Promise<Refreshed> {
    const { given, pages, paging, joins, found } = fetched;
    const next = row.every > 0 ? later(row.every) : null;
    const fine = { checkedAt: new Date(), nextAt: next, failures: 0, problem: null };
    if (!given) {
      await this.#rows.update({ sourceId: source.id }, fine);
      return { ...nothingNew(source), state: 'unchanged' };
    }
    const what = { how: 'live', given, fileName: fileNameOf(row.feeds), guards: !anyway } as const;
    const { isHeld, ...made } = await this.runs.bringLive(source.slug, what);
    if (isHeld) {
      const { added, changed, removed, total } = made;
      const reason = `${removed} of ${source.posts} posts would go, which is more than a third. Someone has to say that they may.`;
      await this.#rows.update(
        { sourceId: source.id },
        { ...fine, held: { at: new Date().toISOString(), added, changed, removed, total } },
      );
      await this.#note(source, row, 'held', reason);
      return { ...made, state: 'held' };
    }
    await this.#rows.update(
      { sourceId: source.id },
      { ...fine, held: null, pages, paging, joins, ...(found.length > 0 && { found }) },
    );
    return { ...made, state: made.run === null ? 'unchanged' : 'done' };
  }

  /** The posts stay; it is tried again, later and later. */
  async #failed(source: Source, row: LiveRow, error: unknown): Promise<void> {
    const problem =
      error instanceof Problem ? error : new Problem(500, 'unknown', 'Something went wrong here while it was fetched.');
    if (!(error instanceof Problem)) this.#log.warn(`A source could not be fetched: ${String(error)}`);
    const failures = row.failures + 1;
    const asked = error instanceof FetchProblem && error.retryAfter !== null ? error.retryAfter / 60 : 0;
    const wait = Math.max(
      Math.min(most.backoff, Math.max(1, row.every) * 2 ** Math.min(failures, 12)),
      Math.min(most.asked, asked),
    );
    await this.#rows.update(
      { sourceId: source.id },
      {
        ...{ checkedAt: new Date(), failures, problem: { code: problem.code, text: problem.detail } },
        nextAt: row.every > 0 ? later(wait) : null,
      },
    );
    await this.#note(source, row, 'failed', problem.detail);
  }

  /** Keeps in the history that a look came to nothing. One like the last is told by the last, with its time. */
  async #note(source: Source, row: LiveRow, state: 'failed' | 'held', reason: string): Promise<void> {
    const last: { id: number; state: string; reason: string | null }[] = await this.database.query(
      'SELECT id, state, reason FROM run WHERE source_id = $1 ORDER BY id DESC LIMIT 1',
      [source.id],
    );
    if (last[0]?.state === state && last[0].reason === reason) {
      await this.database.query('UPDATE run SET at = now() WHERE id = $1', [last[0].id]);
      return;
    }
    await this.database.query(
      `INSERT INTO run (source_id, how, file_name, added, changed, unchanged, removed, total, rejected, state, reason)
       SELECT id, 'live', $2, 0, 0, 0, 0, posts, '[]', $3, $4 FROM source WHERE id = $1`,
      [source.id, fileNameOf(row.feeds), state, reason],
    );
  }
}

function later(minutes: number): Date {
  return new Date(Date.now() + minutes * 60_000);
}

function notLive(slug: string): Problem {
  return new Problem(409, 'not-live', `“${slug}” comes from a file, and not from an address. Say one first.`);
}

function feedsOf({ url, feeds }: LiveBody): Feed[] {
  const all = feeds ?? [{ address: url, name: '' }];
  return all.map(({ address, name }) => {
    const read = readUrl(address.trim());
    return { address: read.href, name: name.trim() || read.host };
  });
}

function originsOf(feeds: readonly Feed[]): Set<string> {
  return new Set(feeds.map(({ address }) => new URL(address).origin));
}

/** What stands for the name of a file: the address, or how many there are. */
function fileNameOf(feeds: readonly Feed[]): string {
  const [first] = feeds;
  const { host, pathname } = new URL(first!.address);
  const own = `${host}${pathname}`.slice(0, 180);
  return feeds.length === 1 ? own : `${own} and ${feeds.length - 1} more`;
}

function nothingNew({ posts, rejected }: Source): RunMade {
  return { run: null, added: 0, changed: 0, unchanged: posts, removed: 0, total: posts, rejected };
}
