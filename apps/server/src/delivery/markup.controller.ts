import type { Mark } from '@ivy/core';
import { Controller, Get, HttpCode, Options, Param, Req, Res } from '@nestjs/common';
import { ApiExcludeEndpoint, ApiTags } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { Answers, IsTagged, Refuses } from '../api/describe.js';
import { Problem } from '../problem/problem.js';
import { LensCache } from './lens-cache.js';
import { allowOrigin, allowQuestions, isFresh } from './results.controller.js';

/** What is marked on a page of its own, by the released lens. */
export interface MarkupView {
  lens: string;
  release: number;
  /** What its names in the address begin with. */
  prefix: string;
  marks: Mark[];
}

/** What the page script asks for where a page bears no marks itself. */
@ApiTags('results')
@Controller('api/v1/lenses/:slug')
export class MarkupController {
  constructor(private readonly lenses: LensCache) {}

  @Get('markup')
  @IsTagged()
  @Answers('MarkupView', { says: 'What is marked on the page that the released lens stands on.' })
  @Refuses({ 404: ['not-found', 'not-released', 'no-markup'] })
  async markup(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<MarkupView | void> {
    const { lens, release, version } = await this.lenses.of(slug, 'release');
    allowOrigin(request, reply, lens);
    const { marks } = lens.markup;
    if (marks.length === 0) {
      throw new Problem(404, 'no-markup', `“${slug}” stands on no page of its own. Mark one in the studio first.`);
    }
    if (isFresh(request, reply, `"m-${version}"`)) return;
    return { lens: slug, release: release!, prefix: lens.address.prefix, marks };
  }

  @Options('markup')
  @ApiExcludeEndpoint()
  @HttpCode(204)
  async preflight(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<void> {
    allowQuestions(request, reply, (await this.lenses.of(slug, 'release')).lens);
  }
}
