import { writeSnapshot } from '@ivy/core';
import { Controller, Delete, Get, HttpCode, Param, Post, Query, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiHeader, ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersAs, AnswersNothing, Refuses } from '../../api/describe.js';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { notFound, Problem } from '../../problem/problem.js';
import { bodyPipe } from '../../problem/body.pipe.js';
import { inTurns } from '../../shared/turns.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { IntakeBody } from './intake.body.js';
import { summaryOf, termViews, viewOf, type SourceSummary, type SourceView, type TermView } from './source.view.js';
import { findPosts, postsWithIds, type PostList } from './posts.js';
import { SourcesService } from './sources.service.js';
import { Jobs, type JobHandle, type JobStatus } from '../intake/jobs.js';
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
  @Answers('SourceSummary', { of: 'list' })
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
  @Answers('SourceView', { status: 201 })
  @ApiHeader({ name: 'Prefer', required: false, description: '`respond-async`: the work is reported as a job.' })
  @Answers('JobStatus', { status: 202, says: 'It is being read: `Location` tells where to ask how far it is.' })
  @Refuses({
    400: ['no-file', 'broken-upload', 'too-many-parts'],
    409: ['slug-taken'],
    415: ['not-multipart'],
    422: ['unreadable'],
    503: ['too-many-uploads', 'too-many-waiting'],
  })
  async bringIn(
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SourceView | JobStatus> {
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
  @Answers('SourceView')
  async find(@Param('slug') slug: string): Promise<SourceView> {
    return viewOf(await this.sources.find(slug));
  }

  @Get(':slug/terms/:field')
  @Answers('TermView', { of: 'list' })
  async terms(@Param('slug') slug: string, @Param('field') field: string): Promise<TermView[]> {
    const source = await this.sources.find(slug);
    if (!source.fields.some((one) => one.key === field)) throw notFound('field', field);
    const { index } = await this.indexes.of(source.id);
    return termViews(index.column(field));
  }

  @Get(':slug/posts')
  @ApiQuery({
    name: 'q',
    required: false,
    description: 'Words to find in titles, or in texts where there are none; or an id.',
  })
  @ApiQuery({ name: 'ids', required: false, description: 'Just these posts: ids, each encoded, with commas.' })
  @ApiQuery({ name: 'page', required: false })
  @ApiQuery({ name: 'size', required: false })
  @Answers('PostList')
  async posts(
    @Param('slug') slug: string,
    @Query() { q = '', ids, page, size }: Record<string, string | undefined>,
  ): Promise<PostList> {
    const source = await this.sources.find(slug);
    const { index } = await this.indexes.of(source.id);
    if (ids !== undefined) return postsWithIds(index, ids.split(',').map(decoded));
    return inTurns(findPosts(index, String(q), countIn(page, 1, 1_000_000), countIn(size, 20, 100)));
  }

  @Get(':slug/index')
  @AnswersAs('application/octet-stream', 'The index as bytes, for a browser that works on a lens.')
  @Refuses({ 409: ['too-many-posts'] })
  async snapshot(@Param('slug') slug: string, @Res({ passthrough: true }) reply: FastifyReply): Promise<Buffer> {
    const source = await this.sources.find(slug);
    const { index } = await this.indexes.of(source.id);
    if (index.size > mostPostsSent) {
      throw new Problem(409, 'too-many-posts', `Sources of up to ${mostPostsSent} posts are sent; this one has more.`);
    }
    void reply.header('content-type', 'application/octet-stream').header('cache-control', 'no-store');
    return Buffer.from((await inTurns(writeSnapshot(index))).buffer);
  }

  @Delete(':slug')
  @HttpCode(204)
  @AnswersNothing()
  @Refuses({ 409: ['source-in-use'] })
  async remove(@Param('slug') slug: string): Promise<void> {
    await this.sources.remove(slug);
  }
}

/** A number in a query string, between 1 and the most it may be. */
function countIn(text: string | undefined, usual: number, most: number): number {
  return Math.min(most, Number(/^[1-9]\d{0,6}$/.exec(text ?? '')?.[0] ?? usual));
}

function decoded(id: string): string {
  try {
    return decodeURIComponent(id);
  } catch {
    return id;
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
