import {
  sieve,
  type AddressFault,
  type CrossTable,
  type DeadEnds,
  type FoundAddress,
  type LensFinding,
  type Nearest,
  type Sieve,
  type WayIn,
} from '@ivy/core';
import { Body, Controller, Get, HttpCode, Param, Post, Req } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { FastifyRequest } from 'fastify';
import { Answers, Refuses, TakesPageQuery } from '../../api/describe.js';
import { pageQueryOf } from '../../delivery/results.controller.js';
import { ResultsService } from '../../delivery/results.service.js';
import { notFound } from '../../problem/problem.js';
import { CrossTableBody, NearestBody, SightBody, WaysInBody } from './sights.bodies.js';
import { SightsService } from './sights.service.js';

/** Two choices that visitors can make one after the other, and that find nothing together. */
export interface DeadEndView {
  address: string;
  /** None. */
  matched: number;
  /** Keys of the facets that are chosen from. */
  facets: string[];
}

/** What keeps posts out of a draft, and what visitors would stumble over: of the draft as it is kept, or of a config that is not. */
@ApiTags('results')
@Controller('api/v1/lenses/:slug/draft')
export class SightsController {
  constructor(
    private readonly sights: SightsService,
    private readonly results: ResultsService,
  ) {}

  @Get('sieve')
  @TakesPageQuery()
  @Answers('Sieve', { says: 'How many posts each facet with a choice takes away.' })
  async sieve(@Param('slug') slug: string, @Req() request: FastifyRequest): Promise<Sieve> {
    const { own, address } = pageQueryOf(request);
    const ready = await this.results.ready(slug, 'draft', own);
    const { query } = await this.results.question(ready, address);
    return sieve(ready.posts.index, query);
  }

  @Get('dead-ends')
  @Answers('DeadEndView', { of: 'list', says: 'Pairs of choices that find nothing, those most within reach first.' })
  async deadEnds(@Param('slug') slug: string, @Req() request: FastifyRequest): Promise<DeadEndView[]> {
    const { worst } = await this.sights.ofDraft(slug, 'dead-ends', {}, leftBy(request));
    return worst.map(({ address, choices }) => ({
      address,
      matched: 0,
      facets: [...new Set(choices.map(({ facet }) => facet))],
    }));
  }

  @Post('nearest')
  @HttpCode(200)
  @Answers('Nearest', { says: 'Posts that are not shown, those that miss by least first, with what stops them.' })
  @Refuses({ 414: ['address-too-long'], 422: ['bad-config'] })
  nearest(@Param('slug') slug: string, @Body() body: NearestBody, @Req() request: FastifyRequest): Promise<Nearest> {
    const { failing = 1, facet, fallsAt, find, post } = body;
    const ofFailing = { failing, ...(facet !== undefined && { facet }) };
    const ofOthers = find !== undefined ? { find } : fallsAt !== undefined ? { fallsAt } : ofFailing;
    const of = post !== undefined ? { post } : ofOthers;
    return this.sights.see(slug, 'nearest', body, { of }, leftBy(request));
  }

  @Post('ways-in')
  @HttpCode(200)
  @Answers('WayIn', { of: 'list', says: 'How a post could be let in, with what else would come.' })
  @Refuses({ 414: ['address-too-long'], 422: ['bad-config'] })
  waysIn(@Param('slug') slug: string, @Body() body: WaysInBody, @Req() request: FastifyRequest): Promise<WayIn[]> {
    return this.sights.see(slug, 'ways-in', body, { post: body.post }, leftBy(request));
  }

  @Post('faults')
  @HttpCode(200)
  @Answers('AddressFault', {
    of: 'list',
    says: 'What of the address is not taken as it stands, where it stands, and what exists and comes nearest.',
  })
  @Refuses({ 414: ['address-too-long'], 422: ['bad-config'] })
  faults(
    @Param('slug') slug: string,
    @Body() body: SightBody,
    @Req() request: FastifyRequest,
  ): Promise<AddressFault[]> {
    return this.sights.see(slug, 'faults', body, { address: body.address }, leftBy(request));
  }

  @Post('sitemap')
  @HttpCode(200)
  @Answers('FoundAddress', { of: 'list', says: 'The addresses that search engines would be told of.' })
  @Refuses({ 422: ['bad-config'] })
  sitemap(
    @Param('slug') slug: string,
    @Body() body: SightBody,
    @Req() request: FastifyRequest,
  ): Promise<FoundAddress[]> {
    return this.sights.see(slug, 'sitemap', body, {}, leftBy(request));
  }

  @Post('findings')
  @HttpCode(200)
  @Answers('LensFinding', { of: 'list' })
  @Refuses({ 422: ['bad-config'] })
  findings(
    @Param('slug') slug: string,
    @Body() body: SightBody,
    @Req() request: FastifyRequest,
  ): Promise<LensFinding[]> {
    return this.sights.see(slug, 'findings', body, {}, leftBy(request));
  }

  @Post('dead-ends')
  @HttpCode(200)
  @Answers('DeadEnds')
  @Refuses({ 422: ['bad-config'] })
  deadEndsOf(@Param('slug') slug: string, @Body() body: SightBody, @Req() request: FastifyRequest): Promise<DeadEnds> {
    return this.sights.see(slug, 'dead-ends', body, {}, leftBy(request));
  }

  @Post('cross-table')
  @HttpCode(200)
  @Answers('CrossTable')
  @Refuses({ 404: ['not-found'], 422: ['bad-config'] })
  async crossTable(
    @Param('slug') slug: string,
    @Body() body: CrossTableBody,
    @Req() request: FastifyRequest,
  ): Promise<CrossTable> {
    const { facets } = body;
    const table = await this.sights.see(slug, 'cross-table', body, { facets }, leftBy(request));
    if (!table) throw notFound('facet of terms', facets.join(' or '));
    return table;
  }
}

/** Whether whoever asked has gone. */
function leftBy({ raw }: FastifyRequest): () => boolean {
  return () => raw.socket.destroyed;
}
