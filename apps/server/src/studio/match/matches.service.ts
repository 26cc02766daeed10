import type { FoundLook } from '@ivy/formats/page';
import { Inject, Injectable } from '@nestjs/common';
import { fetchOutside, type Fetched } from '../../outside/fetch-outside.js';
import { OutsidePages } from '../../outside/outside-pages.js';
import { PageReader } from '../../outside/page-reader.js';
import { reachToken } from '../../outside/reach-token.js';
import type { Reach } from '../../outside/reach.js';

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

/** Bytes of one sheet; sheets. */
const most = { sheet: 2_000_000, sheets: 16 };

/** Reads pages for what they look like. */
@Injectable()
export class MatchesService {
  constructor(
    @Inject(reachToken) private readonly reach: Reach,
    private readonly pages: OutsidePages,
    private readonly reader: PageReader,
  ) {}

  /** What rules that were pasted make. */
  async ofRules(rules: string): Promise<Match> {
    const found = await this.reader.lookOf([rules]);
    return { page: null, title: '', sheets: 1, missed: [], found };
  }

  /** What a page's own sheets make. */
  async ofPage(address: string): Promise<Match> {
    return this.pages.read(address, (page, signal) => this.#match(page, signal));
  }

  async #match(page: Fetched, signal: AbortSignal): Promise<Match> {
    const { title, sheets } = await this.reader.sheetsOf(page.text, page.address);
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
    const found = await this.reader.lookOf(read);
    return { page: page.address, title, sheets: read.length, missed, found };
  }
}
