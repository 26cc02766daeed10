import type { FoundTerms, DryRun } from '@ivy/core';
import { Body, Controller, Get, HttpCode, Param, Post, Req, Res } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, IsTagged, Refuses, TakesPageQuery } from '../../api/describe.js';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { findTermsOf, isFresh, pageQueryOf } from '../../delivery/results.controller.js';
import { ResultsService, tagOfFrame, type PageReply, type Results } from '../../delivery/results.service.js';
import { DryRunBody } from './lens.bodies.js';
import { DryRunsService } from './dry-runs.service.js';

/** Answers of drafts, and of configs that are not kept: for whoever works on a lens. */
@ApiTags('results')
@Controller('api/v1/lenses/:slug/draft')
export class DraftsController {
  constructor(
    private readonly service: ResultsService,
    private readonly dryRuns: DryRunsService,
  ) {}

  @Get('results')
  @TakesPageQuery()
  @IsTagged()
  @Answers('Results', { says: 'The answer of the draft to the page’s query string.' })
  async results(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Results | void> {
    const { own, address } = pageQueryOf(request);
    const ready = await this.service.ready(slug, 'draft', own);
    if (isFresh(request, reply, ready.etag)) return;
    return this.service.results(ready, await this.service.question(ready, address));
  }

  @Get('listing/:known')
  @TakesPageQuery()
  @IsTagged()
  @Answers('PageReply', { says: 'What the page script would ask for, were the draft released.' })
  async listing(
    @Param('slug') slug: string,
    @Param('known') known: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<PageReply | void> {
    const { own, address, from } = pageQueryOf(request);
    const start = performance.now();
    const ready = await this.service.ready(slug, 'draft', own);
    if (isFresh(request, reply, ready.etag)) return;
    const question = await this.service.question(ready, address, undefined, from);
    const asked = performance.now();
    const page = this.service.page(ready, question, known === tagOfFrame(ready.etag));
    // whoever works on a lens sees where the time of an answer went
    const answered = performance.now();
    void reply.header(
      'server-timing',
      `ready;dur=${(asked - start).toFixed(2)}, answer;dur=${(answered - asked).toFixed(2)}`,
    );
    return page;
  }

  @Get('terms/:facet')
  @ApiQuery({ name: 'find', required: false })
  @TakesPageQuery()
  @Answers('FoundTerms', { says: 'Terms of a facet of the draft whose label holds `find`, with their counts.' })
  async terms(
    @Param('slug') slug: string,
    @Param('facet') facet: string,
    @Req() request: FastifyRequest,
  ): Promise<FoundTerms> {
    const { own, address } = pageQueryOf(request);
    return findTermsOf(this.service, await this.service.ready(slug, 'draft', own), facet, address);
  }

  @Post('dry-run')
  @HttpCode(200)
  @Answers('DryRun', { says: 'Settings, answer and effects of a config that is not kept.' })
  @Refuses({ 414: ['address-too-long'], 422: ['bad-config'] })
  dryRun(@Param('slug') slug: string, @Body() body: DryRunBody): Promise<DryRun> {
    return this.dryRuns.answer(slug, body);
  }
}
