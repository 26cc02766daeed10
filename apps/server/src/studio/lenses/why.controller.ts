import type { Explanation } from '@ivy/core';
import { Controller, Get, Param, Req } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers, Refuses, TakesPageQuery } from '../../api/describe.js';
import type { FastifyRequest } from 'fastify';
import { queryOf } from '../../delivery/results.controller.js';
import { ResultsService } from '../../delivery/results.service.js';

/** Why a post is in an answer or not: for whoever works on a lens, of its release and of its draft. */
@ApiTags('results')
@Controller('api/v1/lenses/:slug')
export class WhyController {
  constructor(private readonly service: ResultsService) {}

  @Get('why/:postId')
  @TakesPageQuery()
  @Answers('Explanation', { says: 'Which facets of the released lens a post passes, and why.' })
  @Refuses({ 404: ['not-released'] })
  ofRelease(
    @Param('slug') slug: string,
    @Param('postId') postId: string,
    @Req() request: FastifyRequest,
  ): Promise<Explanation> {
    return this.#why(slug, 'release', postId, request);
  }

  @Get('draft/why/:postId')
  @TakesPageQuery()
  @Answers('Explanation', { says: 'Which facets of the draft a post passes, and why.' })
  ofDraft(
    @Param('slug') slug: string,
    @Param('postId') postId: string,
    @Req() request: FastifyRequest,
  ): Promise<Explanation> {
    return this.#why(slug, 'draft', postId, request);
  }

  async #why(slug: string, which: 'release' | 'draft', postId: string, request: FastifyRequest): Promise<Explanation> {
    const ready = await this.service.ready(slug, which);
    return this.service.why(ready, postId, await this.service.question(ready, queryOf(request)));
  }
}
