import { readAddress } from '@ivy/core';
import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { queryOf } from '../lenses/results.controller.js';
import { ResultsService } from '../lenses/results.service.js';
import { plainDocument } from './plain-page.js';

/** The hosted page of a lens: whole without scripts, and taken over by the page script where there are some. */
@ApiExcludeController()
@Controller('l')
export class HostedController {
  constructor(private readonly service: ResultsService) {}

  @Get(':slug')
  async page(@Param('slug') slug: string, @Req() request: FastifyRequest, @Res() reply: FastifyReply): Promise<void> {
    send(reply, await this.#draw(slug, 'release', request));
  }

  /** The draft as it is without scripts, for whoever works on it. */
  @Get(':slug/draft')
  async draft(@Param('slug') slug: string, @Req() request: FastifyRequest, @Res() reply: FastifyReply): Promise<void> {
    void reply.header('content-security-policy', "script-src 'none'");
    send(reply, await this.#draw(slug, 'draft', request));
  }

  async #draw(slug: string, which: 'release' | 'draft', request: FastifyRequest): Promise<string> {
    const ready = await this.service.ready(slug, which);
    const address = queryOf(request);
    const { settings, answer } = this.service.listing(ready, address);
    const { kept, posts } = ready;
    const { query, foreign } = readAddress(address, kept.lens, posts.index);
    const path = which === 'draft' ? `/l/${slug}/draft` : `/l/${slug}`;
    const plain = { settings, answer, query, foreign, path, resolve: resolver(kept.site) };
    return plainDocument(plain, { slug, name: kept.name, scripts: which === 'release' });
  }
}

function send(reply: FastifyReply, page: string): void {
  void reply.header('content-type', 'text/html; charset=utf-8').header('cache-control', 'no-cache').send(page);
}

/** Links of posts are relative to the site they came from. Only web addresses are followed. */
function resolver(site: string | null): (link: string) => string | null {
  const base = site === null ? 'http://none.invalid/' : `${site}/`;
  return (link) => {
    if (!URL.canParse(link, base)) return null;
    const url = new URL(link, base);
    if (url.protocol !== 'http:' && url.protocol !== 'https:') return null;
    return site === null && url.origin === new URL(base).origin ? link : url.href;
  };
}
