import { writeAddress, type ForPage, type Lens } from '@ivy/core';
import { pageWords, resolver } from '@ivy/view';
import { Inject, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { FastifyRequest } from 'fastify';
import type { DataSource } from 'typeorm';
import { Source } from '../../database/source.entity.js';
import { doorsToken, type Doors } from '../../doors/doors.js';
import { hrefOn } from '../hosted/href.js';
import { plainShown } from '../hosted/plain-shown.js';
import type { CachedLens } from '../lens-cache.js';
import { ResultsService, type Ready } from '../results.service.js';
import { entryOf, type Feed } from './feed.js';

/** Posts of a feed. */
const entriesIn = 50;

/** The newest posts at an address of a released lens, as a feed. */
@Injectable()
export class FeedsService {
  /** By lens: the same with its posts newest first, so many on a page, and none before the others. */
  readonly #newest = new WeakMap<CachedLens, CachedLens>();

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly service: ResultsService,
    @Inject(doorsToken) private readonly doors: Doors,
  ) {}

  ready(slug: string, own: ForPage): Promise<Ready> {
    return this.service.ready(slug, 'release', own);
  }

  /**
   * @param address  what is chosen; the page and the order in it are no matter
   * @param file     what the feed is called: `feed.json`
   */
  async feed(ready: Ready, address: string, file: string, request: FastifyRequest): Promise<Feed> {
    const newest = { ...ready, kept: this.#newestOf(ready.kept) };
    const question = await this.service.question(newest, address);
    const query = { ...question.query, page: 1, sort: null };
    const listing = this.service.listing(newest, { ...question, query });
    const { kept, posts } = newest;
    const origin = this.doors.publicUrl ?? `${request.protocol}://${request.host}`;
    const chosen = writeAddress(query);
    const name = encodeURIComponent(kept.slug);
    const page = origin + hrefOn(`/l/${name}`, [], chosen);
    const resolve = resolver(kept.site);
    const entries = listing.answer.items.map((item) =>
      entryOf(item, {
        index: posts.index,
        source: kept.source,
        // a link without an origin is one of the site the feed is read from
        resolve: (link) => {
          const found = resolve(link);
          return found === null ? null : new URL(found, `${origin}/`).href;
        },
      }),
    );
    const shown = plainShown(listing, { now: question.now, resolve, finds: new Map(), hrefOf: () => page });
    return {
      title: pageWords(shown).title,
      language: listing.settings.language,
      id: `urn:ivy-lens:lens:${name}${chosen === '' ? '' : `?${chosen}`}`,
      self: origin + hrefOn(`/api/v1/lenses/${name}/${file}`, [], chosen),
      page,
      updated:
        entries.map(({ published }) => published).reduce((a, b) => (b > a ? b : a), '') ||
        (await this.#broughtAt(kept)),
      entries,
    };
  }

  /** When posts without days of their own were brought in. */
  async #broughtAt({ sourceId }: CachedLens): Promise<string> {
    const source = await this.database.getRepository(Source).findOneByOrFail({ id: sourceId });
    return source.updatedAt.toISOString();
  }

  #newestOf(kept: CachedLens): CachedLens {
    let newest = this.#newest.get(kept);
    if (!newest) this.#newest.set(kept, (newest = { ...kept, lens: newestFirst(kept.lens) }));
    return newest;
  }
}

function newestFirst(lens: Lens): Lens {
  return {
    ...lens,
    sort: { options: [], default: '', relevanceWhenSearching: false },
    scope: { ...lens.scope, pinned: [] },
    nothing: { ...lens.nothing, show: 'ways' },
    paging: { mode: 'pages', size: entriesIn, sizes: [] },
  };
}
