import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers, AnswersNothing, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { LiveBody, RefreshBody } from './live.bodies.js';
import { LiveService, type Refreshed } from './live.service.js';
import type { LiveView } from './live.view.js';

/** A source that is kept fresh from elsewhere. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug')
export class LiveController {
  constructor(private readonly live: LiveService) {}

  @Get('live')
  @Answers('LiveView')
  @Refuses({ 404: ['not-found'], 409: ['not-live'] })
  async find(@Param('slug') slug: string): Promise<LiveView> {
    const view = await this.live.viewOf(slug);
    if (!view) throw new Problem(409, 'not-live', 'This source comes from a file, and not from an address.');
    return view;
  }

  @Put('live')
  @Answers('LiveView', { says: 'Where it comes from now. Posts stay until the next look.' })
  @Refuses({ 400: ['bad-body'], 404: ['not-found'], 422: ['bad-page'] })
  change(@Param('slug') slug: string, @Body() body: LiveBody): Promise<LiveView> {
    return this.live.change(slug, body);
  }

  @Delete('live')
  @HttpCode(204)
  @AnswersNothing()
  @Refuses({ 404: ['not-found'], 409: ['not-live'] })
  stop(@Param('slug') slug: string): Promise<void> {
    return this.live.stop(slug);
  }

  @Post('refresh')
  @HttpCode(200)
  @Answers('Refreshed', { says: 'What changed; of one that is held, what would.' })
  @Refuses({
    404: ['not-found'],
    409: ['not-live', 'at-it-already'],
    422: ['page-failed', 'endpoint-failed', 'page-private', 'page-slow', 'no-posts', 'no-id', 'unreadable'],
    503: ['too-many-waiting'],
  })
  refresh(@Param('slug') slug: string, @Body() body: RefreshBody): Promise<Refreshed> {
    return this.live.refresh(slug, body.anyway === true);
  }
}
