import { Body, Controller, Get, Headers, HttpCode, Param, ParseIntPipe, Post, Query } from '@nestjs/common';
import { ApiHeader, ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { PublishAgainBody, ReleaseBody } from './lens.bodies.js';
import type { LensRestored, LensView, ReleaseChange, ReleaseMade, ReleaseView } from './lens.view.js';
import { readRevision } from './lenses.controller.js';
import { ReleasesService } from './releases.service.js';

/** What visitors get of a lens, and what they got before. */
@ApiTags('lenses')
@Controller('api/v1/lenses/:slug')
export class ReleasesController {
  constructor(private readonly releases: ReleasesService) {}

  @Get('releases')
  @Answers('ReleaseView', { of: 'list' })
  list(@Param('slug') slug: string): Promise<ReleaseView[]> {
    return this.releases.list(slug);
  }

  @Post('releases')
  @ApiHeader({ name: 'If-Match', required: false, description: 'The draftRevision that is to be published.' })
  @Answers('ReleaseMade', { status: 201 })
  @Refuses({ 400: ['bad-if-match'], 409: ['addresses-fail'], 412: ['draft-changed'], 422: ['bad-config'] })
  async publish(
    @Param('slug') slug: string,
    @Body() body: ReleaseBody,
    @Headers('if-match') ifMatch: string | undefined,
  ): Promise<ReleaseMade> {
    const revision = ifMatch === undefined ? body.draftRevision : readRevision(ifMatch);
    return { number: await this.releases.publish(slug, howOf(body), revision) };
  }

  @Get('releases/:number/changes')
  @ApiQuery({ name: 'to', required: false, description: 'Number of a release, or `draft`, as without it.' })
  @Answers('ReleaseChange', { of: 'list', says: 'Nothing where every address is answered and drawn alike.' })
  @Refuses({ 400: ['bad-query', 'bad-request'] })
  changes(
    @Param('slug') slug: string,
    @Param('number', ParseIntPipe) number: number,
    @Query('to') to = 'draft',
  ): Promise<ReleaseChange[]> {
    if (to !== 'draft' && !/^[1-9]\d{0,8}$/.test(to)) {
      throw new Problem(400, 'bad-query', '`to` is the number of a release, or draft.');
    }
    return this.releases.changesTo(slug, number, to === 'draft' ? null : Number(to));
  }

  @Post('releases/:number/restore')
  @HttpCode(200)
  @Answers('LensRestored')
  @Refuses({ 400: ['bad-request'], 422: ['bad-config'] })
  restore(@Param('slug') slug: string, @Param('number', ParseIntPipe) number: number): Promise<LensRestored> {
    return this.releases.restore(slug, number);
  }

  @Post('releases/:number/publish')
  @Answers('ReleaseMade', { status: 201, says: 'The release is live again, as a new number.' })
  @Refuses({ 400: ['bad-request'], 409: ['addresses-fail'], 422: ['bad-config'] })
  async publishAgain(
    @Param('slug') slug: string,
    @Param('number', ParseIntPipe) number: number,
    @Body() body: PublishAgainBody,
  ): Promise<ReleaseMade> {
    return { number: await this.releases.publishAgain(slug, number, howOf(body)) };
  }

  @Post('draft/undo')
  @HttpCode(200)
  @Answers('LensView', { says: 'The draft is what it was before a release took its place.' })
  @Refuses({ 409: ['nothing-to-undo'], 422: ['bad-config'] })
  undo(@Param('slug') slug: string): Promise<LensView> {
    return this.releases.undo(slug);
  }
}

function howOf({ note = '', anyway = false }: PublishAgainBody): { note: string; anyway: boolean } {
  return { note, anyway };
}
