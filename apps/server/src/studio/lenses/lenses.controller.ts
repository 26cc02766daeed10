import { lensSchema, type JsonSchema } from '@ivy/core';
import { Body, Controller, Delete, Get, Headers, HttpCode, Param, Patch, Post, Put, Res } from '@nestjs/common';
import { ApiHeader, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersNothing, Refuses } from '../../api/describe.js';
import type { FastifyReply } from 'fastify';
import { Problem } from '../../problem/problem.js';
import { CreateLensBody, DraftBody, LensBody } from './lens.bodies.js';
import type { LensSummary, LensView } from './lens.view.js';
import { LensesService } from './lenses.service.js';

@ApiTags('lenses')
@Controller('api/v1')
export class LensesController {
  constructor(private readonly lenses: LensesService) {}

  @Get('lenses')
  @Answers('LensSummary', { of: 'list' })
  list(): Promise<LensSummary[]> {
    return this.lenses.list();
  }

  @Post('lenses')
  @Answers('LensView', { status: 201 })
  @Refuses({ 404: ['not-found'], 409: ['slug-taken'], 422: ['bad-config'] })
  create(@Body() body: CreateLensBody): Promise<LensView> {
    return this.lenses.create(body);
  }

  @Get('lenses/:slug')
  @Answers('LensView')
  view(@Param('slug') slug: string): Promise<LensView> {
    return this.lenses.view(slug);
  }

  @Patch('lenses/:slug')
  @Answers('LensView')
  @Refuses({ 409: ['slug-taken'] })
  change(@Param('slug') slug: string, @Body() body: LensBody): Promise<LensView> {
    return this.lenses.change(slug, body);
  }

  @Delete('lenses/:slug')
  @HttpCode(204)
  @AnswersNothing()
  remove(@Param('slug') slug: string): Promise<void> {
    return this.lenses.remove(slug);
  }

  @Put('lenses/:slug/draft')
  @ApiHeader({ name: 'If-Match', required: true, description: 'The draftRevision this draft was made from.' })
  @Answers('LensView')
  @Refuses({ 400: ['bad-if-match'], 412: ['draft-changed'], 422: ['bad-config'], 428: ['if-match-missing'] })
  async saveDraft(
    @Param('slug') slug: string,
    @Body() body: DraftBody,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<LensView> {
    const view = await this.lenses.saveDraft(slug, body.config, readRevision(ifMatch));
    void reply.header('etag', `"${view.draftRevision}"`);
    return view;
  }

  @Get('schemas/lens.json')
  @ApiOkResponse({
    description: 'JSON Schema of a lens’s config.',
    content: { 'application/json': { schema: { type: 'object', additionalProperties: true } } },
  })
  schema(): JsonSchema {
    return lensSchema();
  }
}

/** The revision of a draft that a request was made for. */
export function readRevision(ifMatch: string | undefined): number {
  if (ifMatch === undefined) {
    throw new Problem(428, 'if-match-missing', 'Send If-Match with the draftRevision this draft was made from.');
  }
  const revision = /^(?:W\/)?"?(\d{1,9})"?$/.exec(ifMatch.trim())?.[1];
  if (revision === undefined) throw new Problem(400, 'bad-if-match', 'If-Match must be a draftRevision, such as 3.');
  return Number(revision);
}
