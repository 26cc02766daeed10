import {
  addressesBeside,
  decodeText,
  fieldsOfIds,
  FileProblem,
  isOpml,
  joinOf,
  limits,
  nextOf,
  numberedPage,
  readFile,
  waysToTry,
  type FileFormat,
  type FileReading,
  type FilledJoin,
  type Join,
  type Paging,
  type ReadOptions,
} from '@ivy/formats';
import { readFileSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { FailedAnswer, saveOutside, type Saved } from '../../outside/save-outside.js';
import type { Reach } from '../../outside/reach.js';
import { Problem } from '../../problem/problem.js';
import type { FilesOnDisk, FileOnDisk } from '../intake/given-files.js';

/** A feed or an endpoint, and what its posts are called in the field that tells of several apart. */
export interface Feed {
  address: string;
  name: string;
}

/** A page as it was when it was last read, by which it can be asked whether it changed. */
export interface KnownPage {
  address: string;
  etag: string;
  modified: string;
}

export interface FetchAsked {
  feeds: readonly Feed[];
  format: FileFormat | null;
  options: ReadOptions;
  /** Headers that go to these addresses alone. */
  secret: Readonly<Record<string, string>>;
  /** How their posts go on, where that is known; undefined where it is to be found. */
  paging: Paging | null | undefined;
  /** Lists that ids have names in; undefined where they are to be found. */
  joins: readonly Join[] | undefined;
  known: readonly KnownPage[];
  /** Folder that files are put into. */
  folder: string;
  reach: Reach;
  today: string;
  /** Pages that are read of each at most. */
  pages: number;
  signal: AbortSignal;
  /** Called with how many pages, and posts, have come. */
  tell?: (pages: number, posts: number) => void;
}

export interface FetchedPosts {
  /** What came; null where nothing changed since. */
  given: FilesOnDisk | null;
  pages: KnownPage[];
  paging: Paging | null;
  joins: Join[];
  /** What of it was found by trying, in sentences. */
  found: string[];
}

/** Bounds of one fetch: bytes of a page and of all, and milliseconds for a page to begin, to go on, and to end. */
const bounds = { all: limits.unpackedBytes, begin: 30_000, idle: 15_000, page: 120_000 };
/** Records of a first page below which nobody pages. */
const fewRecords = 5;
/** Fields that names are looked for elsewhere, and addresses tried for them all. */
const mostTries = { fields: 6, addresses: 10, pages: 20 };

const accept =
  'application/feed+json,application/atom+xml,application/rss+xml,application/json;q=0.9,text/csv;q=0.9,text/calendar;q=0.9,text/html;q=0.8,*/*;q=0.5';

interface Page extends Saved {
  path: string;
  /** Null for what was not read: a page that is as it was, or a list of feeds. */
  reading: FileReading | null;
}

interface FetchedFeed {
  files: FileOnDisk[];
  paging: Paging | null;
  first: FileReading;
}

/**
 * Fetches all posts of feeds and endpoints onto disk: page after page, by whatever leads on; names for ids from the lists
 * beside them. To be called in a thread: pages are read to see what comes next.
 * @throws Problem, FileProblem with what is wrong
 */
export async function fetchPosts(asked: FetchAsked): Promise<FetchedPosts> {
  const fetching = new Fetching(asked);
  if (asked.known.length > 0 && (await fetching.isUnchanged())) {
    return {
      given: null,
      pages: [...asked.known],
      paging: asked.paging ?? null,
      joins: [...(asked.joins ?? [])],
      found: [],
    };
  }
  const files: FileOnDisk[] = [];
  let paging: Paging | null = asked.paging ?? null;
  let format = asked.format;
  let options = asked.options;
  let first: FileReading | null = null;
  for (const feed of asked.feeds) {
    const own = await fetching.feed(feed);
    if ('list' in own) return { given: own.list, pages: [], paging: null, joins: [], found: [] };
    paging = own.paging;
    first ??= own.first;
    // each of several feeds is of the format it is
    if (asked.feeds.length === 1) {
      format = own.first.format;
      options = { ...own.first.options, ...options };
    }
    files.push(...own.files);
  }
  const joins = first && asked.feeds.length === 1 ? await fetching.joins(first, asked.feeds[0]!.address) : [];
  return {
    given: { files, format, options, field: asked.feeds.length > 1 ? 'feed' : null, joins },
    pages: fetching.pages,
    paging,
    joins: joins.map(({ labels: _labels, ...join }) => join),
    found: fetching.found,
  };
}

class Fetching {
  readonly pages: KnownPage[] = [];
  readonly found: string[] = [];
  #bytes = 0;
  #files = 0;
  #posts = 0;

  constructor(private readonly asked: FetchAsked) {}

  /** Whether none of the pages there were changed: a single one that did has all fetched anew. */
  async isUnchanged(): Promise<boolean> {
    for (const page of this.asked.known) {
      if (page.etag === '' && page.modified === '') return false;
      const saved = await this.#save(page.address, page).catch((error: unknown) => {
        if (error instanceof Problem) return null;
        throw error;
      });
      if (saved) await rm(saved.path, { force: true });
      if (saved?.status !== 304) return false;
    }
    return true;
  }

  /** All pages of one feed. */
  async feed({ address, name }: Feed): Promise<FetchedFeed | { list: FilesOnDisk }> {
    const page = await this.#read(address);
    if (page.reading === null)
      return { list: { files: [fileOf(page, name)], format: null, options: {}, field: null, joins: [] } };
    const first = page.reading;
    const files = [fileOf(page, name)];
    const seen = new Set([address, page.address, fingerprint(first)]);
    let paging = this.asked.paging;
    let [last, records] = [page, first.records.length];
    for (let count = 1; count < this.asked.pages; count++) {
      const next = await this.#next(address, last, count, records, paging, seen);
      if (!next) break;
      paging = next.paging;
      files.push(fileOf(next.page, name));
      last = next.page;
      records += last.reading!.records.length;
    }
    return { files, paging: paging ?? null, first };
  }

  /** The page after another; null where there is none, or where it is one that was there before. */
  async #next(
    address: string,
    last: Page,
    count: number,
    records: number,
    paging: Paging | null | undefined,
    seen: Set<string>,
  ): Promise<{ page: Page; paging: Paging } | null> {
    const led = nextOf({
      address: last.address,
      link: last.link,
      bytes: readFileSync(last.path),
      format: last.reading!.format,
    });
    if (led) {
      if (seen.has(led.address)) return null;
      seen.add(led.address);
      const page = await this.#unlessOver(led.address, true);
      return page && this.#isNew(page, seen) ? { page, paging: led.paging } : null;
    }
    if (paging === null || paging?.by === 'link' || paging?.by === 'field') return null;
    if (paging) {
      const page = await this.#unlessOver(numberedPage(address, paging, count, records), false);
      return page && this.#isNew(page, seen) ? { page, paging } : null;
    }
    const { format } = last.reading!;
    if ((format !== 'json' && format !== 'ndjson') || records < fewRecords) return null;
    for (const way of waysToTry(address)) {
      const page = await this.#unlessOver(numberedPage(address, way, count, records), false).catch(() => null);
      if (!page || !this.#isNew(page, seen)) continue;
      const parameter = 'parameter' in way ? way.parameter : '';
      this.found.push(`More posts came by “${parameter}=” in the address, which was found by trying.`);
      return { page, paging: way };
    }
    return null;
  }

  /** Whether a page has posts that no page before it had. One that has none is forgotten. */
  #isNew({ reading }: Page, seen: Set<string>): boolean {
    const print = reading && fingerprint(reading);
    if (print !== null && reading!.records.length > 0 && !seen.has(print)) {
      seen.add(print);
      return true;
    }
    this.pages.pop();
    this.#posts -= reading?.records.length ?? 0;
    return false;
  }

  /** A page, unless the address says by an error, or by having no posts, that there are no more. */
  async #unlessOver(address: string, isSaid: boolean): Promise<Page | null> {
    try {
      return await this.#read(address);
    } catch (error) {
      if (error instanceof FileProblem && (error.code === 'no-posts' || error.code === 'empty-file')) return null;
      const status = error instanceof FailedAnswer ? error.answered : 0;
      if (!isSaid && [400, 404, 410, 416, 422].includes(status)) return null;
      throw error;
    }
  }

  async #read(address: string): Promise<Page> {
    const saved = await this.#save(address, null);
    const { format, options, today } = this.asked;
    const bytes = readFileSync(saved.path);
    if (isOpml(decodeText(bytes.subarray(0, 4000)))) return saved;
    const reading = readFile(bytes, nameOf(saved.address), {
      ...{ options, today, address: saved.address, type: saved.type },
      ...(format !== null && { format }),
    });
    this.pages.push({ address, etag: saved.etag, modified: saved.modified });
    this.#posts += reading.records.length;
    if (this.#posts > limits.records) {
      throw new Problem(
        422,
        'too-many',
        `There are more than ${limits.records} posts. Give an address that lists fewer.`,
      );
    }
    this.asked.tell?.(this.pages.length, this.#posts);
    return { ...saved, reading };
  }

  async #save(address: string, known: KnownPage | null): Promise<Page> {
    const path = join(this.asked.folder, `page-${++this.#files}`);
    const late = AbortSignal.timeout(bounds.page);
    const saved = await saveOutside(address, path, this.asked.reach, {
      ...{ accept, begin: bounds.begin, idle: bounds.idle, bytes: Math.min(limits.bytes, bounds.all - this.#bytes) },
      signal: AbortSignal.any([this.asked.signal, late]),
      secret: this.#secretFor(address),
      headers: {
        ...(known && known.etag !== '' && { 'if-none-match': known.etag }),
        ...(known && known.modified !== '' && { 'if-modified-since': known.modified }),
      },
    });
    this.#bytes += saved.size;
    return { ...saved, path, reading: null };
  }

  /** A key for one endpoint is no business of another, though the endpoint leads there. */
  #secretFor(address: string): Readonly<Record<string, string>> {
    const { origin } = new URL(address);
    return this.asked.feeds.some((feed) => new URL(feed.address).origin === origin) ? this.asked.secret : {};
  }

  /** Names for the ids that posts hold: from the lists that are known, else from those beside the endpoint. */
  async joins(first: FileReading, endpoint: string): Promise<FilledJoin[]> {
    if (first.format !== 'json') return [];
    const { joins } = this.asked;
    const done: FilledJoin[] = [];
    if (joins !== undefined) {
      for (const one of joins) {
        if (!/^https?:/.test(one.from)) continue;
        const filled = await this.#filled(first, one.field, one.from);
        if (filled) done.push(filled);
      }
      return done;
    }
    const inside = new Set(first.joins?.map(({ field }) => field));
    let tries = 0;
    for (const field of fieldsOfIds(first.records).slice(0, mostTries.fields)) {
      if (inside.has(field)) continue;
      for (const address of addressesBeside(endpoint, field)) {
        if (++tries > mostTries.addresses) return done;
        const filled = await this.#filled(first, field, address);
        if (!filled) continue;
        this.found.push(`“${field}” is told by the names at ${new URL(address).pathname}, which was found by trying.`);
        done.push(filled);
        break;
      }
    }
    return done;
  }

  /** All names of a list; null where there is none at the address, or none that knows these ids. */
  async #filled(first: FileReading, field: string, address: string): Promise<FilledJoin | null> {
    const { tell: _tell, ...asked } = this.asked;
    const other = new Fetching({ ...asked, format: 'json', options: {}, paging: undefined, pages: mostTries.pages });
    other.#files = this.#files;
    try {
      const fetched = await other.feed({ address, name: '' });
      if ('list' in fetched) return null;
      const { files } = fetched;
      const list = files.flatMap(({ path, name }) => [
        ...readFile(readFileSync(path), name, { format: 'json' }).records,
      ]);
      const filled = joinOf(field, address, first.records, list);
      // a name that changes has posts read again, too
      if (filled) this.pages.push(...other.pages);
      return filled;
    } catch (error) {
      // where nothing is that could be read, ids stay as they are
      if (error instanceof Problem || error instanceof FileProblem) return null;
      throw error;
    } finally {
      this.#files = other.#files;
    }
  }
}

function fileOf({ path, address, type }: Page, label: string): FileOnDisk {
  return { path, name: nameOf(address), address, type, label };
}

/** The first and last of the posts of a page: an endpoint that repeats itself repeats those. */
function fingerprint({ records }: FileReading): string {
  let [first, last]: unknown[] = [];
  for (const record of records) {
    first ??= record;
    last = record;
  }
  return JSON.stringify([records.length, first, last]);
}

function nameOf(address: string): string {
  return new URL(address).pathname.split('/').filter(Boolean).at(-1)?.slice(0, 120) ?? 'posts';
}
