import { Controller, Get, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { createReadStream, existsSync } from 'node:fs';
import { Problem } from '../problem/problem.js';
import { fromRoot } from '../shared/paths.js';

/** What sites load: the page script, its sheet, and the letters that pages of ours are set in. */
@ApiExcludeController()
@Controller()
export class EmbedController {
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
}
