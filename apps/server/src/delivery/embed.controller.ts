import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { createReadStream, existsSync } from 'node:fs';
import { Problem } from '../problem/problem.js';
import { fromRoot } from '../shared/paths.js';
import { packedFile } from './packed-file.js';

/** What sites load: the page script, its sheet, and the letters that pages of ours are set in. */
@ApiExcludeController()
@Controller()
export class EmbedController {
  /** The page script, its sheet, and what it fetches when it is needed. */
  @Get('embed/:file')
  async file(@Param('file') name: string, @Req() request: FastifyRequest, @Res() reply: FastifyReply): Promise<void> {
    const kind = /^ivy-[\w-]{1,60}\.(js|css)$/.exec(name)?.[1];
    const file = fromRoot('packages', name.startsWith('ivy-page') ? 'page' : 'runtime', 'dist', name);
    if (kind === undefined || !existsSync(file)) throw missing(name);
    // what may change under its name is looked after each minute; the rest has its contents in its name
    const lasts = /^ivy-(lens|page)\./.test(name) ? 'public, max-age=60' : 'public, max-age=31536000, immutable';
    void reply
      .header('content-type', kind === 'js' ? 'text/javascript; charset=utf-8' : 'text/css; charset=utf-8')
      .header('access-control-allow-origin', '*')
      .header('cross-origin-resource-policy', 'cross-origin')
      .header('cache-control', lasts)
      .header('vary', 'accept-encoding')
      // whoever weighs a page may know how large its script is
      .header('timing-allow-origin', '*');
    const accepted = request.headers['accept-encoding'] ?? '';
    const encoding = (['br', 'gzip'] as const).find((one) => new RegExp(`\\b${one}\\b(?!\\s*;\\s*q=0)`).test(accepted));
    if (encoding) void reply.header('content-encoding', encoding).send((await packedFile(file))[encoding]);
    else void reply.send(createReadStream(file));
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

function missing(name: string): Problem {
  if (name === 'ivy-lens.js' || name === 'ivy-page.js')
    return new Problem(503, 'not-built', 'The page script is not built yet. Run npm run build.');
  return new Problem(404, 'not-found', 'There is nothing at this address.');
}
