import {
  answer,
  answerCompactly,
  bestLanguage,
  explain,
  findTerms,
  frameOf,
  kindOf,
  lensForPage,
  Lru,
  maxAddress,
  pageSettings,
  readQuestion,
  prepareAnswer,
  termLooks,
  zoneDays,
  type AddressReading,
  type Answer,
  type CacheFigures,
  type CompactAnswer,
  type Explanation,
  type ForPage,
  type FoundTerms,
  type Frame,
  type Lens,
  type Notice,
  type PostIndex,
  type Query,
  type Settings,
} from '@ivy/core';
import { lookSheet, type Drawn, resolver } from '@ivy/view';
import { Injectable } from '@nestjs/common';
import { createHash } from 'node:crypto';
import { notFound, Problem } from '../problem/problem.js';
import { AskedLenses } from './asked-lenses.js';
import { IndexCache, type CachedIndex } from './index-cache.js';
import { LensCache, type CachedLens } from './lens-cache.js';
import { inTurns } from '../shared/turns.js';
import { WorksAhead } from './works-ahead.js';
import { responseCache, writeBody, type ResponseBody } from './response-cache.js';

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

/** What a page asks for: an answer without what it knows already, and, where it does not know that yet, all of it. */
export interface PageReply {
  /** Of what stays the same from answer to answer: said again with the next question. */
  known: string;
  settings?: Settings;
  /** How the lens looks: rules of a sheet. */
  sheet?: string;
  frame?: Frame;
  answer: CompactAnswer & { release: number | null };
}

/** A lens and the index it asks, taken once for a whole answer. */
export interface Ready {
  /** The slug that was asked for: it may be one that the lens had before. */
  asked: string;
  kept: CachedLens;
  posts: CachedIndex;
  etag: string;
}

/** An address as it is asked of a lens, with all made that its answer would take long for. */
export interface Question extends AddressReading {
  /** Milliseconds: the moment it is asked at. */
  now: number;
}

/** A page that sets nothing for itself. */
const plain: ForPage = { prefix: null, scope: '', driven: '', languages: [] };
/** Ways that pages have one lens, of which what was worked out is kept. */
const pagesKept = 50;

/** What a listing draws, as far as its rules go by it. */
export function drawnOf({ card, facets }: Settings, index: PostIndex, { lens, site }: CachedLens): Drawn {
  return { card, facets, looks: termLooks(index, lens), resolve: resolver(site) };
}

@Injectable()
export class ResultsService {
  readonly #ahead = new WorksAhead();
  /** By lens: how pages have it that set something for themselves. */
  readonly #onPages = new WeakMap<CachedLens, Lru<string, CachedLens>>();
  readonly #written = responseCache(64 * 1024 * 1024);

  constructor(
    private readonly cachedLenses: LensCache,
    private readonly indexes: IndexCache,
    private readonly asked: AskedLenses,
  ) {
    indexes.readyInstead = (before, now) => this.#ahead.readyInstead(before, now);
  }

  /** How the cache of bodies is doing; weights in bytes. */
  get figures(): CacheFigures {
    return this.#written.figures;
  }

  /** @param own  what a page sets for itself */
  async ready(slug: string, which: 'release' | 'draft', own: ForPage = plain): Promise<Ready> {
    const whole = await this.cachedLenses.of(slug, which);
    if (which === 'release') this.asked.note(whole.id);
    const posts = await this.indexes.of(whole.sourceId);
    // many pages say a language, few lenses speak more than one: those that come to the same are one
    const language = bestLanguage(whole.lens, own.languages);
    const page = { ...own, languages: language === whole.lens.language ? [] : [language] };
    const isPlain = page.prefix === null && page.scope === '' && page.driven === '' && page.languages.length === 0;
    const kept = isPlain ? whole : this.#forPage(whole, posts, page);
    // of a release all is done, and the index kept with what was made
    const isKept = kept === whole && which === 'release';
    const ahead = this.#ahead.of(posts, kept.lens, isKept ? () => this.indexes.save(kept.sourceId, posts) : undefined);
    await this.#ahead.orForget(posts, kept.lens, ahead.columns);
    return {
      asked: slug,
      kept,
      posts,
      etag: `"${kept.version}${slug === kept.slug ? '' : '-moved'}.p${kept.sourceId.slice(0, 8)}-${posts.revision}${dayTag(kept.lens)}"`,
    };
  }

  /** A lens as a page has it. One object for all that ask alike, so that what is worked out of it can be kept. */
  #forPage(whole: CachedLens, { index }: CachedIndex, own: ForPage): CachedLens {
    let byPage = this.#onPages.get(whole);
    if (!byPage) this.#onPages.set(whole, (byPage = new Lru<string, CachedLens>(pagesKept)));
    return byPage.getOr(JSON.stringify(own), () => {
      const lens = lensForPage(whole.lens, index.fields, own);
      if (typeof lens === 'string') throw new Problem(400, 'bad-page', lens);
      const tag = createHash('sha256').update(JSON.stringify(own)).digest('base64url').slice(0, 8);
      return { ...whole, lens, version: `${whole.version}.${tag}` };
    });
  }

  /** Reads an address, and waits until what it asks for can be answered without holding others up. */
  async question({ kept, posts }: Ready, address: string, now = Date.now(), from?: number): Promise<Question> {
    checkLength(address);
    const reading = readQuestion(posts.index, kept.lens, address, now, from);
    const ahead = this.#ahead.begun(posts, kept.lens);
    if (ahead && searches(reading.query)) await this.#ahead.orForget(posts, kept.lens, ahead.words());
    await inTurns(prepareAnswer(posts.index, reading.query));
    return { ...reading, now };
  }

  /**
   * The body of `results` as it is sent. Answers that are asked for again and again are written once.
   * @param from  where pages stand below one another: the first one wanted by a page
   */
  async written(
    ready: Ready,
    what: 'results' | 'listing' | 'page' | 'first page',
    address: string,
    from = 1,
  ): Promise<ResponseBody> {
    const name = `${what} ${ready.asked} ${ready.kept.slug} ${ready.etag} ${from} ${address}`;
    let written = this.#written.get(name);
    if (!written) {
      const question = await this.question(ready, address, undefined, what === 'results' ? undefined : from);
      written = await writeBody(this.#body(ready, what, question));
      this.#written.put(name, written);
    }
    return written;
  }

  #body(ready: Ready, what: 'results' | 'listing' | 'page' | 'first page', question: Question): object {
    if (what === 'results') return this.results(ready, question);
    return what === 'listing' ? this.listing(ready, question) : this.page(ready, question, what === 'page');
  }

  /** @param isKnown  whether the page has what stays the same */
  page({ asked, kept, posts, etag }: Ready, { query, notices }: Question, isKnown: boolean): PageReply {
    const { index } = posts;
    const answer = { release: kept.release, ...answerCompactly(index, query, notices) };
    const known = tagOfFrame(etag);
    if (isKnown) return { known, answer };
    const settings = pageSettings(index, kept.lens, kept);
    return {
      known,
      settings,
      sheet: lookSheet(kept.lens.look, drawnOf(settings, posts.index, kept), asked),
      frame: frameOf(index, kept.lens),
      answer,
    };
  }

  results({ asked, kept, posts }: Ready, { query, notices }: Question): Results {
    const start = performance.now();
    const text = `The lens “${asked}” is called “${kept.slug}” now.`;
    const moved: Notice[] = asked === kept.slug ? [] : [{ code: 'moved', value: asked, text }];
    const found = answer(posts.index, query, [...moved, ...notices]);
    const tookMs = Math.round((performance.now() - start) * 1000) / 1000;
    return { lens: kept.slug, release: kept.release, ...found, tookMs };
  }

  /** Why a post is in an answer or not. */
  why({ posts }: Ready, postId: string, { query }: Question): Explanation {
    const post = posts.index.numberOf(postId);
    if (post === undefined) throw notFound('post', postId);
    return explain(posts.index, query, post);
  }

  /** Terms of a facet that hold a text. */
  terms({ posts }: Ready, facet: string, text: string, { query }: Question): FoundTerms {
    const found = findTerms(posts.index, query, facet, text);
    if (!found) throw notFound('facet of terms', facet);
    return found;
  }

  listing(ready: Ready, question: Question): Listing {
    return {
      settings: pageSettings(ready.posts.index, ready.kept.lens, ready.kept),
      answer: this.results(ready, question),
    };
  }
}

/** Tags remembered: one a lens and state of its posts. */
const tags = new Lru<string, string>(500);

/** Names what stays the same from answer to answer, as a part of an address can say it. */
export function tagOfFrame(etag: string): string {
  return tags.getOr(etag, () => createHash('sha256').update(etag).digest('base64url').slice(0, 12));
}

/** Whether a query searches for words. */
function searches({ lens, selections }: Query): boolean {
  return lens.facets.some((facet) => kindOf(facet).finding !== undefined && selections[facet.key] !== undefined);
}

/** A lens that shuffles, or whose addresses may say “the last 30 days”, answers differently from day to day. */
function dayTag(lens: Lens): string {
  const shuffles = lens.sort.options.some((option) => option.by === 'shuffle');
  const rolls = lens.facets.some((facet) => kindOf(facet).isDaily);
  return shuffles || rolls ? `.d${dayIn(lens)}` : '';
}

/** Today in the lens's zone, as a day number. */
function dayIn(lens: Lens): number {
  return zoneDays(lens.zone).dayAt(Date.now());
}

export function checkLength(address: string): void {
  if (address.length <= maxAddress) return;
  throw new Problem(
    414,
    'address-too-long',
    `The address is longer than ${maxAddress} characters. Take some choices away.`,
  );
}
