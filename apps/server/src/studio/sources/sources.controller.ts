import { writeSnapshot } from '@ivy/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiHeader, ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersAs, AnswersNothing, Refuses } from '../../api/describe.js';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { Problem } from '../../problem/problem.js';
import { bodyPipe } from '../../problem/body.pipe.js';
import { inTurns } from '../../shared/turns.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { fileFormats } from '@ivy/formats';
import type { Source } from '../../database/source.entity.js';
import { LiveSourceBody } from '../live/live.bodies.js';
import { LiveService } from '../live/live.service.js';
import { readOptions } from '../intake/options.body.js';
import { IntakeBody, SourceBody } from './intake.body.js';
import { summaryOf, viewOf, type SourceSummary, type SourceView } from './source.view.js';
import { postQuery } from './post-query.js';
import { findPosts, postsWithIds, type PostList } from './posts.js';
import { rulerOf, type PostRuler } from './ruler.js';
import { SourcesService } from './sources.service.js';
import { Jobs, type JobHandle, type JobStatus } from '../intake/jobs.js';
import { Uploads } from '../intake/uploads.js';

/** Posts up to which a browser is sent the whole index: some 20 MB. */
const mostPostsSent = 50_000;

/** Brings posts in, and tells of what came of it. */
type Reader = (signal: AbortSignal, handle?: JobHandle) => Promise<SourceView>;

@ApiTags('sources')
@Controller('api/v1/sources')
export class SourcesController {
  constructor(
    private readonly sources: SourcesService,
    private readonly indexes: IndexCache,
    private readonly uploads: Uploads,
    private readonly jobs: Jobs,
    private readonly live: LiveService,
  ) {}

  @Get()
  @Answers('SourceSummary', { of: 'list' })
  async list(): Promise<SourceSummary[]> {
    const sources = await this.sources.list();
    const live = await this.live.viewsOf(sources);
    return sources.map((source) => summaryOf(source, live.get(source.id) ?? null));
  }

  @Post()
  @ApiConsumes('multipart/form-data', 'application/json')
  @ApiBody({
    schema: {
      type: 'object',
      properties: {
        file: { type: 'string', format: 'binary' },
        name: { type: 'string', maxLength: 120 },
        slug: { type: 'string' },
        format: { type: 'string', enum: [...fileFormats] },
        options: { type: 'string', description: 'How it is read, as JSON.' },
        site: { type: 'string' },
        url: { type: 'string', description: 'In a JSON body: the address its posts come from.' },
        every: { type: 'integer', description: 'The same: minutes between two looks.' },
      },
    },
  })
  @Answers('SourceView', { status: 201 })
  @ApiHeader({ name: 'Prefer', required: false, description: '`respond-async`: the work is reported as a job.' })
  @Answers('JobStatus', { status: 202, says: 'It is being read: `Location` tells where to ask how far it is.' })
  @Refuses({
    400: ['no-file', 'broken-upload', 'too-many-parts'],
    409: ['slug-taken'],
    413: ['too-large'],
    422: ['unreadable', 'bad-page', 'page-failed', 'page-private', 'endpoint-failed'],
    503: ['too-many-uploads', 'too-many-waiting'],
  })
  async bringIn(
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SourceView | JobStatus> {
    const read = request.isMultipart() ? await this.#ofFiles(request) : await this.#ofAddress(request.body);
    if (!/\brespond-async\b/i.test(String(request.headers.prefer ?? ''))) return read(whileConnected(reply));
    const job = this.jobs.start((handle) => read(handle.signal, handle));
    void reply.status(202).header('location', `/api/v1/jobs/${job.id}`).header('preference-applied', 'respond-async');
    return job;
  }

  /** How to bring the files of a request in: they are there, and go when it is done. */
  async #ofFiles(request: FastifyRequest): Promise<Reader> {
    const upload = await this.uploads.receive(request);
    return async (signal, handle) => {
      try {
        const { size, fileName, parts } = upload;
        const body = (await bodyPipe.transform(parts, { type: 'body', metatype: IntakeBody })) as IntakeBody;
        const { format = null, options, ...said } = body;
        const given = { ...upload.given, format, options: await readOptions(options) };
        return this.#view(await this.sources.bringIn({ given, size, fileName, ...said }, signal, handle));
      } finally {
        await upload.discard();
      }
    };
  }

  async #ofAddress(given: unknown): Promise<Reader> {
    const body = (await bodyPipe.transform(given, { type: 'body', metatype: LiveSourceBody })) as LiveSourceBody;
    return async (signal, handle) =>
      this.#view(await this.live.create(body, handle ?? { signal, waits: () => {}, reads: () => {} }));
  }

  async #view(source: Source): Promise<SourceView> {
    return viewOf(source, (await this.live.viewsOf([source])).get(source.id) ?? null);
  }

  @Get(':slug')
  @Answers('SourceView')
  async find(@Param('slug') slug: string): Promise<SourceView> {
    return this.#view(await this.sources.find(slug));
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
  @ApiQuery({ name: 'sort', required: false, description: 'Key of a field; else the best matches, or the newest.' })
  @ApiQuery({ name: 'order', required: false, enum: ['asc', 'desc'] })
  @ApiQuery({ name: 'filter', required: false, description: '`field:term,term`, once or several times.' })
  @Answers('PostList')
  @Refuses({ 400: ['bad-query'] })
  async posts(
    @Param('slug') slug: string,
    @Query() asked: Record<string, string | string[] | undefined>,
  ): Promise<PostList> {
    const source = await this.sources.find(slug);
    const { index } = await this.indexes.of(source.id);
    const found =
      asked.ids === undefined
        ? await inTurns(findPosts(index, postQuery(asked, index.fields)))
        : postsWithIds(index, String(asked.ids).split(',').map(decoded));
    return this.sources.withRecords(source.id, found);
  }

  @Get(':slug/ruler')
  @ApiQuery({ name: 'q', required: false })
  @ApiQuery({ name: 'sort', required: false })
  @ApiQuery({ name: 'order', required: false, enum: ['asc', 'desc'] })
  @ApiQuery({ name: 'filter', required: false })
  @Answers('PostRuler')
  @Refuses({ 400: ['bad-query'] })
  async ruler(
    @Param('slug') slug: string,
    @Query() asked: Record<string, string | string[] | undefined>,
  ): Promise<PostRuler> {
    const source = await this.sources.find(slug);
    const { index } = await this.indexes.of(source.id);
    return inTurns(rulerOf(index, postQuery(asked, index.fields)));
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

  @Patch(':slug')
  @Answers('SourceView')
  @Refuses({ 409: ['slug-taken'] })
  async change(@Param('slug') slug: string, @Body() body: SourceBody): Promise<SourceView> {
    return this.#view(await this.sources.change(slug, body));
  }

  @Post(':slug/copies')
  @Answers('SourceView', { status: 201, says: 'A second source with the same posts.' })
  async copy(@Param('slug') slug: string): Promise<SourceView> {
    return this.#view(await this.sources.copy(slug));
  }

  @Delete(':slug')
  @HttpCode(204)
  @ApiQuery({ name: 'lenses', required: false, description: '`1`: lenses on it go with it.' })
  @AnswersNothing()
  @Refuses({ 409: ['source-in-use'] })
  async remove(@Param('slug') slug: string, @Query('lenses') lenses: string | undefined): Promise<void> {
    await this.sources.remove(slug, lenses === '1');
  }
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
