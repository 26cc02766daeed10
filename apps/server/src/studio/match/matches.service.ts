import type { FoundLook, PageSheets } from '@ivy/formats';
import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { fetchOutside } from '../../outside/fetch-outside.js';
import { reachToken } from '../../outside/outside.module.js';
import type { Reach } from '../../outside/reach.js';
import { Problem } from '../../problem/problem.js';
import { fromRoot } from '../../shared/paths.js';
import type { MatchTask } from './match-worker.js';

/** What of a page's look can be taken over. */
export interface Match {
  /** Where the page was in the end; null where its rules were pasted. */
  page: string | null;
  title: string;
  /** Sheets that were read. */
  sheets: number;
  /** Sheets that could not be, with why. */
  missed: { address: string; why: string }[];
  found: FoundLook[];
}

/** Bytes of a page, and of one sheet; milliseconds for all of it; sheets. */
const most = { page: 4_000_000, sheet: 2_000_000, time: 15_000, sheets: 16 };
/** Pages read at once; milliseconds one may take to be read. */
const atOnce = 4;
const patience = 10_000;

/** Reads pages for what they look like. */
@Injectable()
export class MatchesService implements OnModuleDestroy {
  readonly #pool = new Piscina({
    filename: fromRoot('apps', 'server', 'dist', 'studio', 'match', 'match-worker.js'),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: 300 },
    execArgv: [],
  });
  #running = 0;

  constructor(@Inject(reachToken) private readonly reach: Reach) {}

  async onModuleDestroy(): Promise<void> {
    await this.#pool.destroy();
  }

  /** What rules that were pasted make. */
  async ofRules(rules: string): Promise<Match> {
    const found = await this.#read<FoundLook[]>({ sheets: [rules] });
    return { page: null, title: '', sheets: 1, missed: [], found };
  }

  /** What a page's own sheets make. */
  async ofPage(address: string): Promise<Match> {
    if (this.#running >= atOnce) {
      throw new Problem(503, 'too-many-waiting', 'Other pages are being read. Try again in a moment.');
    }
    this.#running++;
    try {
      return await this.#match(address);
    } finally {
      this.#running--;
    }
  }

  async #match(address: string): Promise<Match> {
    const signal = AbortSignal.timeout(most.time);
    const accept = 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.1';
    const page = await fetchOutside(address, this.reach, { bytes: most.page, signal, accept });
    if (!/html/i.test(page.type)) {
      throw new Problem(
        422,
        'bad-page',
        `${new URL(page.address).host} sent no page, but ${page.type || 'something else'}.`,
      );
    }
    const { title, sheets } = await this.#read<PageSheets>({ page: page.text, address: page.address });
    const missed: Match['missed'] = [];
    const rules = await Promise.all(
      sheets.slice(0, most.sheets).map(async (sheet) => {
        if ('rules' in sheet) return sheet.rules;
        try {
          const bounds = { bytes: most.sheet, signal, accept: 'text/css,*/*;q=0.1' };
          return (await fetchOutside(sheet.address, this.reach, bounds)).text;
        } catch (error) {
          missed.push({ address: sheet.address.slice(0, 300), why: (error as Error).message });
          return '';
        }
      }),
    );
    const read = rules.filter((one) => one !== '');
    const found = await this.#read<FoundLook[]>({ sheets: read });
    return { page: page.address, title, sheets: read.length, missed, found };
  }

  async #read<T>(task: MatchTask): Promise<T> {
    const signal = AbortSignal.timeout(patience);
    try {
      return (await this.#pool.run(task, { signal })) as T;
    } catch {
      throw new Problem(
        422,
        'page-too-large',
        'That takes too long or too much memory to read. Paste a smaller part of it.',
      );
    }
  }
}
