import { parameterNames } from '@ivy/core';
import { Controller, Get, Inject, Param, Query, Req } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import type { FastifyRequest } from 'fastify';
import { Answers, Refuses } from '../../api/describe.js';
import { LensCache, type CachedLens } from '../../delivery/lens-cache.js';
import { doorsToken, type Doors } from '../../doors/doors.js';
import { OutsidePages } from '../../outside/outside-pages.js';
import { PageReader } from '../../outside/page-reader.js';
import { Problem } from '../../problem/problem.js';
import { checkPage, type CheckFinding } from './check-page.js';

/** What of an installation stands on a page. */
@ApiTags('lenses')
@Controller('api/v1/lenses/:slug/check')
export class CheckController {
  constructor(
    private readonly lenses: LensCache,
    private readonly pages: OutsidePages,
    private readonly reader: PageReader,
    @Inject(doorsToken) private readonly doors: Doors,
  ) {}

  @Get()
  @ApiQuery({ name: 'page', description: 'Address of the page.', schema: { type: 'string' } })
  @Answers('CheckFinding', { of: 'list', says: 'What stands and what does not, what to do first at the top.' })
  @Refuses({
    422: ['bad-page', 'page-failed', 'page-private', 'page-slow', 'page-too-large'],
    503: ['too-many-waiting'],
  })
  async check(
    @Param('slug') slug: string,
    @Query('page') page: unknown,
    @Req() request: FastifyRequest,
  ): Promise<CheckFinding[]> {
    const lens = await this.#lens(slug);
    const address = typeof page === 'string' ? page.slice(0, 2000) : '';
    const { lens: config, release } = lens;
    const { marks } = config.markup;
    const { fetched, facts, found } = await this.pages.read(address, async (page) => ({
      fetched: page,
      facts: await this.reader.factsOf(page.text, page.address),
      found: marks.length > 0 ? await this.reader.markCountsOf(page.text, marks) : [],
    }));
    const policies = [...(fetched.policy === '' ? [] : fetched.policy.split(/,\s*/)), ...facts.policies];
    const studio = this.doors.publicUrl ?? `${request.protocol}://${request.host}`;
    const installed = {
      slug,
      release,
      origins: config.origins,
      names: [...parameterNames(config).keys()],
      marks: marks.length > 0 ? marks.map((mark, i) => ({ ...mark, found: found[i]! })) : null,
    };
    return checkPage(facts, { address: fetched.address, policies }, installed, studio);
  }

  /** The release, or the draft of a lens that has none yet. */
  async #lens(slug: string): Promise<CachedLens> {
    try {
      return await this.lenses.of(slug, 'release');
    } catch (error) {
      if (error instanceof Problem && error.code === 'not-released') return this.lenses.of(slug, 'draft');
      throw error;
    }
  }
}
