import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { AnswersAs, IsTagged, Refuses, TakesPageQuery } from '../../api/describe.js';
import { allowOrigin, isFresh, pageQueryOf } from '../results.controller.js';
import { writeAtom } from './atom.js';
import type { Feed } from './feed.js';
import { FeedsService } from './feeds.service.js';
import { writeJsonFeed } from './json-feed.js';

/** The newest posts at an address, for whoever follows them with a reader of feeds. */
@ApiTags('results')
@Controller('api/v1/lenses/:slug')
export class FeedsController {
  constructor(private readonly feeds: FeedsService) {}

  @Get('feed.json')
  @TakesPageQuery()
  @IsTagged()
  @AnswersAs('application/feed+json', 'The newest posts at the address, as JSON Feed.')
  @Refuses({ 404: ['not-released'] })
  async json(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<string | void> {
    return this.#send(slug, 'feed.json', 'application/feed+json', writeJsonFeed, request, reply);
  }

  @Get('feed.atom')
  @TakesPageQuery()
  @IsTagged()
  @AnswersAs('application/atom+xml', 'The newest posts at the address, as Atom.')
  @Refuses({ 404: ['not-released'] })
  async atom(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<string | void> {
    return this.#send(slug, 'feed.atom', 'application/atom+xml', writeAtom, request, reply);
  }

  async #send(
    slug: string,
    file: string,
    type: string,
    write: (feed: Feed) => string,
    request: FastifyRequest,
    reply: FastifyReply,
  ): Promise<string | void> {
    const { own, address } = pageQueryOf(request);
    const ready = await this.feeds.ready(slug, own);
    allowOrigin(request, reply, ready.kept.lens);
    if (isFresh(request, reply, ready.etag.replace(/"$/, '.feed"'))) return;
    const feed = await this.feeds.feed(ready, address, file, request);
    void reply.header('content-type', `${type}; charset=utf-8`);
    return write(feed);
  }
}
