import {
  languagesIn,
  maxAddress,
  maxSearch,
  prepareSitemap,
  splitAddress,
  writeAddress,
  type Answer,
  type FoundTerms,
} from '@ivy/core';
import { pageSheet, plainLookSheet, viewOf, writeChoices, type Shown, resolver } from '@ivy/view';
import { Inject, Injectable } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { createHash } from 'node:crypto';
import { doorsToken, type Doors } from '../../doors/doors.js';
import { inTurns } from '../../shared/turns.js';
import { isFresh, queryOf } from '../results.controller.js';
import { ResultsService, type Question, type Ready, drawnOf } from '../results.service.js';
import { joinEnds } from './join-ends.js';
import { nameOfFind } from './plain-facets.js';
import { hrefOn } from './href.js';
import { pageHead, writeSitemap } from './page-head.js';
import { plainDocument } from './plain-page.js';
import { plainShown } from './plain-shown.js';

/** The parameter by which a page of ours is asked for in a language; without it the browser's own wishes count. */
const languageName = '~lang';

/** Pages of lenses that are whole without scripts: of releases for visitors, of drafts for whoever works on them. */
@Injectable()
export class HostedPages {
  constructor(
    private readonly service: ResultsService,
    @Inject(doorsToken) private readonly doors: Doors,
  ) {}

  async send(slug: string, which: 'release' | 'draft', request: FastifyRequest, reply: FastifyReply): Promise<void> {
    const address = queryOf(request);
    const said = splitAddress(address).find(({ name }) => name === languageName)?.value;
    const wanted = languagesIn(said ?? request.headers['accept-language']);
    const ready = await this.service.ready(slug, which, { prefix: null, scope: '', driven: '', languages: wanted });
    const path = which === 'draft' ? `/l/${slug}/draft` : `/l/${slug}`;
    if (slug !== ready.kept.slug) {
      const now = path.replace(slug, ready.kept.slug);
      void reply.redirect(address === '' ? encodeURI(now) : `${encodeURI(now)}?${address}`, 301);
      return;
    }
    const now = Date.now();
    const joined = address.length > maxAddress ? null : joinEnds(address, ready.kept.lens, ready.posts.index, now);
    if (joined !== null) {
      void reply.redirect(joined === '' ? path : `${path}?${joined}`, 303);
      return;
    }
    const question = await this.service.question(ready, address, now, 1);
    const isOld = question.notices.length > 0 && question.notices.every(({ code }) => code === 'moved');
    if (isOld) {
      // what is called otherwise by now has one address: the one in force
      void reply.redirect(hrefOn(encodeURI(path), question.foreign, writeAddress(question.query)), 301);
      return;
    }
    const page = this.#draw(ready, slug, which, path, question, this.#originOf(request), said ?? null);
    void reply.header('content-type', 'text/html; charset=utf-8').header('vary', 'accept-language');
    void reply.send(isFresh(request, reply, tagOf(page)) ? undefined : page);
  }

  /** Every address of a released lens that is worth finding, for search engines. */
  async sendSitemap(slug: string, request: FastifyRequest, reply: FastifyReply): Promise<void> {
    const ready = await this.service.ready(slug, 'release');
    void reply.header('content-type', 'application/xml; charset=utf-8');
    if (isFresh(request, reply, ready.etag)) return void reply.send();
    const found = await inTurns(prepareSitemap(ready.posts.index, ready.kept.lens));
    void reply.send(writeSitemap(`${this.#originOf(request)}/l/${encodeURIComponent(ready.kept.slug)}`, found));
  }

  /** Where others reach this server: by its public name, or as it was asked. */
  #originOf(request: FastifyRequest): string {
    return this.doors.publicUrl ?? `${request.protocol}://${request.host}`;
  }

  /** Finds the terms that boxes of the form look for. What those say is no parameter of another's. */
  #find(ready: Ready, question: Question, { facets }: Answer): Pick<Shown, 'finds'> & { foreign: string[] } {
    const { prefix } = ready.kept.lens.address;
    const finds = new Map<string, { text: string; found: FoundTerms }>();
    const foreign = question.foreign.filter((raw) => {
      const [parameter] = splitAddress(raw);
      const facet = facets.find(({ key }) => parameter?.name === nameOfFind(prefix + key));
      if (!facet) return true;
      const text = parameter!.value.trim().slice(0, maxSearch);
      if (text !== '' && 'more' in facet && facet.more && !finds.has(facet.key)) {
        finds.set(facet.key, { text, found: this.service.terms(ready, facet.key, text, question) });
      }
      return false;
    });
    return { finds, foreign };
  }

  #draw(
    ready: Ready,
    slug: string,
    which: 'release' | 'draft',
    path: string,
    question: Question,
    origin: string,
    said: string | null,
  ): string {
    const listing = this.service.listing(ready, question);
    const { settings, answer } = listing;
    const { finds, foreign } = this.#find(ready, question, answer);
    const { kept } = ready;
    const shown = plainShown(listing, {
      now: question.now,
      resolve: resolver(kept.site),
      finds,
      hrefOf: (choices) => hrefOn(path, foreign, writeChoices(choices, settings)),
    });
    const base = kept.site === null ? null : `${kept.site}/`;
    const others = foreign.filter((raw) => splitAddress(raw)[0]?.name !== languageName);
    const languages = kept.languages.map((language) => ({
      language,
      href: hrefOn(path, [...others, `${languageName}=${language}`], answer.address),
      current: language === settings.language,
    }));
    const head = pageHead({
      shown,
      query: question.query,
      url: origin + encodeURI(path),
      kept: said === null ? [] : [`${languageName}=${settings.language}`],
      isReleased: which === 'release',
      feed: `${origin}/api/v1/lenses/${encodeURIComponent(slug)}/`,
      languages: languages.map(({ language, href }) => ({ language, href: origin + href })),
    });
    const page = {
      slug,
      head,
      sheet: pageSheet(kept.lens.look) + plainLookSheet(kept.lens.look, drawnOf(settings, ready.posts.index, kept)),
      name: kept.name,
      scripts: which === 'release',
      base,
      languages,
    };
    return plainDocument({ view: viewOf(shown), shown, foreign, path }, page);
  }
}

function tagOf(page: string): string {
  return `"${createHash('sha256').update(page).digest('base64url').slice(0, 22)}"`;
}
