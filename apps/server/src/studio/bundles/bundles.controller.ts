import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { AnswersAs, IsTagged, Refuses } from '../../api/describe.js';
import { isFresh } from '../../delivery/results.controller.js';
import { version } from '../../version.js';
import { BundlesService } from './bundles.service.js';

/** A released lens to take along: it holds all its posts at once, so it is for whoever works on it. */
@ApiTags('releases')
@Controller('api/v1/lenses/:slug/bundle.zip')
export class BundlesController {
  constructor(private readonly bundles: BundlesService) {}

  @Get()
  @IsTagged()
  @AnswersAs('application/zip', 'Plain files that answer by themselves; index.html shows the listing.')
  @Refuses({ 404: ['not-released'], 409: ['too-much-to-bring'] })
  async bundle(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Buffer | void> {
    const ready = await this.bundles.ready(slug);
    // the script in it is that of this version
    if (isFresh(request, reply, ready.etag.replace(/"$/, `.bundle-${version}"`))) return;
    const zip = await this.bundles.bundle(ready);
    void reply
      .header('content-type', 'application/zip')
      .header('content-disposition', `attachment; filename="${ready.kept.slug}.zip"`);
    return zip;
  }
}
