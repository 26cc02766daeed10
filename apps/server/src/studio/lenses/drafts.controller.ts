import type { FoundTerms, Trial } from '@ivy/core';
import { Body, Controller, Get, HttpCode, Param, Post, Req, Res } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { findTermsOf, isFresh, queryOf } from '../../delivery/results.controller.js';
import { ResultsService, type Results } from '../../delivery/results.service.js';
import { TrialBody } from './lens.bodies.js';
import { TrialsService } from './trials.service.js';

/** Answers of drafts, and of configs that are not kept: for whoever works on a lens. */
@ApiTags('results')
@Controller('api/v1/lenses/:slug/draft')
export class DraftsController {
  constructor(
    private readonly service: ResultsService,
    private readonly trials: TrialsService,
  ) {}

  @Get('results')
  @ApiOkResponse({ description: 'The answer of the draft to the page’s query string.' })
  async results(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Results | void> {
    const ready = await this.service.ready(slug, 'draft');
    if (isFresh(request, reply, ready.etag)) return;
    return this.service.results(ready, await this.service.question(ready, queryOf(request)));
  }

  @Get('terms/:facet')
  @ApiOkResponse({ description: 'Terms of a facet of the draft whose label holds `find`, with their counts.' })
  async terms(
    @Param('slug') slug: string,
    @Param('facet') facet: string,
    @Req() request: FastifyRequest,
  ): Promise<FoundTerms> {
    return findTermsOf(this.service, await this.service.ready(slug, 'draft'), facet, request);
  }

  @Post('trial')
  @HttpCode(200)
  @ApiOkResponse({ description: 'Settings, answer and effects of a config that is not kept.' })
  trial(@Param('slug') slug: string, @Body() body: TrialBody): Promise<Trial> {
    return this.trials.answer(slug, body);
  }
}
