import { Controller, Get, Param, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { createReadStream, existsSync } from 'node:fs';
import { previewPolicy } from '../doors/policies.js';
import { LensKeeper } from '../lenses/lens-keeper.js';
import { Problem } from '../problem/problem.js';
import { fromRoot } from '../shared/paths.js';
import { previewPage } from './preview-page.js';

/** What is not the API: the script that sites load, and the page the Bench shows. */
@ApiExcludeController()
@Controller()
export class PagesController {
  constructor(private readonly lenses: LensKeeper) {}

  @Get('embed/ivy-lens.js')
  script(@Res() reply: FastifyReply): void {
    const file = fromRoot('packages', 'runtime', 'dist', 'ivy-lens.js');
    if (!existsSync(file)) throw new Problem(503, 'not-built', 'The page script is not built yet. Run npm run build.');
    void reply
      .header('content-type', 'text/javascript; charset=utf-8')
      .header('access-control-allow-origin', '*')
      .header('cross-origin-resource-policy', 'cross-origin')
      .header('cache-control', 'public, max-age=60')
      .send(createReadStream(file));
  }

  @Get('embed/ivy-lens.css')
  sheet(@Res() reply: FastifyReply): void {
    const file = fromRoot('packages', 'runtime', 'dist', 'ivy-lens.css');
    void reply
      .header('content-type', 'text/css; charset=utf-8')
      .header('cache-control', 'public, max-age=60')
      .send(createReadStream(file));
  }

  @Get('preview-font.woff2')
  font(@Res() reply: FastifyReply): void {
    const name = 'source-sans-3-latin-wght-normal.woff2';
    const file = fromRoot('node_modules', '@fontsource-variable', 'source-sans-3', 'files', name);
    void reply
      .header('content-type', 'font/woff2')
      .header('cache-control', 'public, max-age=86400')
      .send(createReadStream(file));
  }

  @Get('preview/:slug')
  async preview(@Param('slug') slug: string, @Res() reply: FastifyReply): Promise<void> {
    const { name, site } = await this.lenses.of(slug, 'draft');
    void reply
      .header('content-type', 'text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .header('content-security-policy', previewPolicy(site))
      .send(previewPage({ slug, name, site }));
  }
}
