import {
  answerAddress,
  explain,
  isSearch,
  maxAddress,
  pageSettings,
  readAddress,
  tryLens,
  zoneDays,
  type Answer,
  type Explanation,
  type Lens,
  type Settings,
  type Trial,
} from '@ivy/core';
import { Injectable, Logger } from '@nestjs/common';
import { notFound, Problem } from '../problem/problem.js';
import { Changes } from '../shared/changes.js';
import { IndexKeeper, type KeptIndex } from '../sources/index-keeper.js';
import { LensKeeper, type KeptLens } from './lens-keeper.js';
import { LensesService } from './lenses.service.js';
import { WorkAhead } from './work-ahead.js';
import { writeAnswer, WrittenAnswers, type WrittenAnswer } from './written-answers.js';

/** The body of `results`: the answer, and which lens gave it. */
export interface Results extends Answer {
  lens: string;
  release: number | null;
  /** What it took to work the answer out. */
  tookMs: number;
}

/** All a page needs for its first paint, in one request. */
export interface Listing {
  settings: Settings;
  answer: Results;
}

/** A lens and the index it asks, taken once for a whole answer. */
export interface Ready {
  kept: KeptLens;
  posts: KeptIndex;
  etag: string;
}

@Injectable()
export class ResultsService {
  readonly #log = new Logger(ResultsService.name);
  readonly #ahead = new WeakMap<KeptIndex, WeakMap<Lens, WorkAhead>>();
  readonly #written = new WrittenAnswers(64 * 1024 * 1024);

  constructor(
    private readonly keeper: LensKeeper,
    private readonly indexes: IndexKeeper,
    private readonly lenses: LensesService,
    changes: Changes,
  ) {
    // all else changes a tag, under which nothing is written yet
    changes.on((change) => {
      if (change === 'everything') this.#written.clear();
    });
  }

  /** @param address  what will be asked: a search has to wait for words */
  async ready(slug: string, which: 'release' | 'draft', address = ''): Promise<Ready> {
    const kept = await this.keeper.of(slug, which);
    const posts = await this.indexes.of(kept.sourceId);
    const ahead = this.#workAhead(kept, posts, which);
    try {
      await (searches(kept.lens, address) ? ahead.words() : ahead.columns);
    } catch (error) {
      // what failed must not be remembered: the next request tries again
      this.#ahead.get(posts)?.delete(kept.lens);
      throw error;
    }
    return {
      kept,
      posts,
      etag: `"${kept.version}.p${kept.sourceId.slice(0, 8)}-${posts.revision}${dayTag(kept.lens)}"`,
    };
  }

  /** Work ahead begins with the first who asks. Of a release all is done, and the index kept with what was made. */
  #workAhead({ sourceId, lens }: KeptLens, posts: KeptIndex, which: 'release' | 'draft'): WorkAhead {
    let byLens = this.#ahead.get(posts);
    if (!byLens) this.#ahead.set(posts, (byLens = new WeakMap<Lens, WorkAhead>()));
    let ahead = byLens.get(lens);
    if (ahead) return ahead;
    byLens.set(lens, (ahead = new WorkAhead(posts.index, lens)));
    if (which === 'release') {
      ahead
        .counts()
        .then(() => this.indexes.save(sourceId, posts))
        .catch((error: unknown) => this.#log.error(`Work ahead failed: ${String(error)}`));
    }
    return ahead;
  }

  /** The body of `results` as it is sent. Answers that are asked for again and again are written once. */
  async written(ready: Ready, what: 'results' | 'listing', address: string): Promise<WrittenAnswer> {
    const name = `${what} ${ready.etag} ${address}`;
    let written = this.#written.get(name);
    if (!written) {
      written = await writeAnswer(what === 'results' ? this.results(ready, address) : this.listing(ready, address));
      this.#written.put(name, written);
    }
    return written;
  }

  results({ kept, posts }: Ready, address: string): Results {
    return resultsOf(kept.slug, kept.release, kept.lens, posts, address);
  }

  /** Why a post is in an answer or not. */
  why({ kept, posts }: Ready, postId: string, address: string): Explanation {
    const post = posts.index.numberOf(postId);
    if (post === undefined) throw notFound('post', postId);
    const { query } = readAddress(address, kept.lens, posts.index);
    return explain(posts.index, query, post);
  }

  listing(ready: Ready, address: string): Listing {
    return {
      settings: pageSettings(ready.posts.index, ready.kept.lens, ready.kept.source),
      answer: this.results(ready, address),
    };
  }

  /** Answers with a config that is not kept: what the Bench shows while one works on it. */
  async trial(slug: string, body: { config: object; address: string }): Promise<Trial> {
    const { lens: row, config } = await this.lenses.readFor(slug, body.config);
    const posts = await this.indexes.of(row.sourceId);
    checkLength(body.address);
    return tryLens(posts.index, config, row.source.slug, body.address, Date.now());
  }
}

/** Whether an address may search: to wait for words in vain does no harm. */
function searches({ facets }: Lens, address: string): boolean {
  return facets.some((facet) => isSearch(facet) && address.includes(facet.key));
}

/** A lens that shuffles, or whose addresses may say “the last 30 days”, answers differently from day to day. */
function dayTag(lens: Lens): string {
  const shuffles = lens.sort.options.some((option) => option.by === 'shuffle');
  const rolls = lens.facets.some((facet) => facet.kind === 'date-range');
  return shuffles || rolls ? `.d${dayIn(lens)}` : '';
}

/** Today in the lens's zone, as a day number. */
function dayIn(lens: Lens): number {
  return zoneDays(lens.zone).dayAt(Date.now());
}

function checkLength(address: string): void {
  if (address.length <= maxAddress) return;
  throw new Problem(
    414,
    'address-too-long',
    `The address is longer than ${maxAddress} characters. Take some choices away.`,
  );
}

function resultsOf(slug: string, release: number | null, lens: Lens, { index }: KeptIndex, address: string): Results {
  checkLength(address);
  const start = performance.now();
  const found = answerAddress(index, lens, address, Date.now());
  const tookMs = Math.round((performance.now() - start) * 1000) / 1000;
  return { lens: slug, release, ...found, tookMs };
}
