import { writingSnapshot } from '@ivy/core';
import { Controller, Delete, Get, HttpCode, Param, Post, Req, Res } from '@nestjs/common';
import {
  ApiAcceptedResponse,
  ApiBody,
  ApiConsumes,
  ApiCreatedResponse,
  ApiHeader,
  ApiNoContentResponse,
  ApiOkResponse,
  ApiTags,
} from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { notFound, Problem } from '../../problem/problem.js';
import { bodyPipe } from '../../problem/body.pipe.js';
import { inTurns } from '../../shared/turns.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { IntakeBody } from './intake.body.js';
import type { JobView } from '../intake/jobs.controller.js';
import { SourceSummary, SourceView, summaryOf, TermView, termViews, viewOf } from './source.view.js';
import { SourcesService } from './sources.service.js';
import { Jobs, type JobHandle } from '../intake/jobs.js';
import { Uploads } from '../intake/uploads.js';

/** Posts up to which a browser is sent the whole index: some 20 MB. */
const mostPostsSent = 50_000;

@ApiTags('sources')
@Controller('api/v1/sources')
export class SourcesController {
  constructor(
    private readonly sources: SourcesService,
    private readonly indexes: IndexCache,
    private readonly uploads: Uploads,
    private readonly jobs: Jobs,
  ) {}

  @Get()
  @ApiOkResponse({ type: [SourceSummary] })
  async list(): Promise<SourceSummary[]> {
    return (await this.sources.list()).map(summaryOf);
  }

  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiBody({
    schema: {
      type: 'object',
      required: ['file'],
      properties: {
        file: { type: 'string', format: 'binary' },
        name: { type: 'string', maxLength: 120 },
        slug: { type: 'string' },
        format: { type: 'string', enum: ['csv', 'json', 'ndjson'] },
        site: { type: 'string' },
      },
    },
  })
  @ApiCreatedResponse({ type: SourceView })
  @ApiHeader({ name: 'Prefer', required: false, description: '`respond-async`: the work is told of as a job.' })
  @ApiAcceptedResponse({ description: 'It is being read: `Location` tells where to ask how far it is.' })
  async bringIn(
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SourceView | JobView> {
    const upload = await this.uploads.receive(request);
    const read = async (signal: AbortSignal, handle?: JobHandle) => {
      try {
        const { path, size, fileName, parts } = upload;
        const body = (await bodyPipe.transform(parts, { type: 'body', metatype: IntakeBody })) as IntakeBody;
        return viewOf(await this.sources.bringIn({ path, size, fileName, ...body }, signal, handle));
      } finally {
        await upload.discard();
      }
    };
    if (!/\brespond-async\b/i.test(String(request.headers.prefer ?? ''))) return read(whileConnected(reply));
    const job = this.jobs.start((handle) => read(handle.signal, handle));
    void reply.status(202).header('location', `/api/v1/jobs/${job.id}`).header('preference-applied', 'respond-async');
    return job;
  }

  @Get(':slug')
  @ApiOkResponse({ type: SourceView })
  async find(@Param('slug') slug: string): Promise<SourceView> {
    return viewOf(await this.sources.find(slug));
  }

  @Get(':slug/terms/:field')
  @ApiOkResponse({ type: [TermView] })
  async terms(@Param('slug') slug: string, @Param('field') field: string): Promise<TermView[]> {
    const source = await this.sources.find(slug);
    if (!source.fields.some((one) => one.key === field)) throw notFound('field', field);
    const { index } = await this.indexes.of(source.id);
    return termViews(index.column(field));
  }

  @Get(':slug/index')
  @ApiOkResponse({ description: 'The index as bytes, for a browser that works on a lens.' })
  async snapshot(@Param('slug') slug: string, @Res({ passthrough: true }) reply: FastifyReply): Promise<Buffer> {
    const source = await this.sources.find(slug);
    const { index } = await this.indexes.of(source.id);
    if (index.size > mostPostsSent) {
      throw new Problem(409, 'too-many-posts', `Sources of up to ${mostPostsSent} posts are sent; this one has more.`);
    }
    void reply.header('content-type', 'application/octet-stream').header('cache-control', 'no-store');
    return Buffer.from((await inTurns(writingSnapshot(index))).buffer);
  }

  @Delete(':slug')
  @HttpCode(204)
  @ApiNoContentResponse()
  async remove(@Param('slug') slug: string): Promise<void> {
    await this.sources.remove(slug);
  }
}

/** Aborts when whoever waits for an answer has gone. */
function whileConnected(reply: FastifyReply): AbortSignal {
  const gone = new AbortController();
  reply.raw.once('close', () => {
    if (!reply.raw.writableFinished) gone.abort();
  });
  return gone.signal;
}
