import { Controller, Get, Param, Req, Res, UseFilters } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { HostedPages } from '../../delivery/hosted/hosted-pages.js';
import { PageFilter } from '../../delivery/hosted/page.filter.js';
import { plainPolicy } from '../../doors/policies.js';

/** The draft as it is without scripts, for whoever works on it. */
@ApiExcludeController()
@Controller('l/:slug/draft')
@UseFilters(PageFilter)
export class DraftPageController {
  constructor(private readonly pages: HostedPages) {}

  @Get()
  async page(@Param('slug') slug: string, @Req() request: FastifyRequest, @Res() reply: FastifyReply): Promise<void> {
    void reply.header('content-security-policy', plainPolicy);
    await this.pages.send(slug, 'draft', request, reply);
  }
}
