import { Controller, Get, Param, Query, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { LensCache } from '../../delivery/lens-cache.js';
import { previewPolicy } from '../../doors/policies.js';
import { previewPage } from './preview-page.js';

/** The page the Bench shows in its frame. */
@ApiExcludeController()
@Controller('preview')
export class PreviewController {
  constructor(private readonly lenses: LensCache) {}

  @Get(':slug')
  async preview(
    @Param('slug') slug: string,
    @Query('shows') shows: string | undefined,
    @Res() reply: FastifyReply,
  ): Promise<void> {
    const { name, site } = await this.lenses.of(slug, 'draft');
    void reply
      .header('content-type', 'text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .header('content-security-policy', previewPolicy(site))
      .send(previewPage({ slug, name, site }, shows === 'cards' ? 'cards' : 'page'));
  }
}
