import { Controller, Get, Param, Req, Res, UseFilters } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { HostedPages } from './hosted-pages.js';
import { PageFilter } from './page.filter.js';

/** The hosted page of a lens: whole without scripts, and taken over by the page script where there are some. */
@ApiExcludeController()
@Controller('l')
@UseFilters(PageFilter)
export class HostedController {
  constructor(private readonly pages: HostedPages) {}

  @Get(':slug/sitemap.xml')
  async sitemap(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res() reply: FastifyReply,
  ): Promise<void> {
    await this.pages.sendSitemap(slug, request, reply);
  }

  @Get(':slug')
  async page(@Param('slug') slug: string, @Req() request: FastifyRequest, @Res() reply: FastifyReply): Promise<void> {
    await this.pages.send(slug, 'release', request, reply);
  }
}
