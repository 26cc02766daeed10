import type { RawRecord } from '@ivy/core';
import { fileFormats, type FileFormat } from '@ivy/formats';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  ParseIntPipe,
  Patch,
  Post,
  Put,
  Query,
  Req,
} from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { FastifyRequest } from 'fastify';
import { Answers, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { readOptions } from '../intake/options.body.js';
import { Uploads } from '../intake/uploads.js';
import type { Bringing } from './run-task.js';
import type { RunLooked, RunMade, RunView } from './run.view.js';
import { RunsService } from './runs.service.js';

/** Posts of one request at most. */
const mostPosts = 10_000;

/** Posts that come where there are some already, and what each of these runs changed. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug')
export class PostsController {
  constructor(
    private readonly runs: RunsService,
    private readonly uploads: Uploads,
  ) {}

  @Put('posts')
  @ApiConsumes('multipart/form-data')
  @ApiBody({
    schema: {
      type: 'object',
      required: ['file'],
      properties: {
        file: { type: 'string', format: 'binary' },
        format: { type: 'string', enum: [...fileFormats] },
        options: { type: 'string', description: 'How it is read, as JSON; without it as the file before.' },
        keep: { type: 'string', enum: ['missing'], description: 'Posts that the file does not have stay.' },
      },
    },
  })
  @ApiQuery({ name: 'preview', required: false, description: '`1`: nothing is kept.' })
  @Answers('RunMade', { says: 'What changed; of a preview, what would.' })
  @Refuses({
    400: ['no-file', 'broken-upload'],
    404: ['not-found'],
    415: ['not-multipart'],
    422: ['unreadable', 'no-posts', 'no-id', 'too-slow'],
  })
  async replace(
    @Param('slug') slug: string,
    @Query('preview') preview: string | undefined,
    @Req() request: FastifyRequest,
  ): Promise<RunMade | RunLooked> {
    const upload = await this.uploads.receive(request);
    const { fileName, parts } = upload;
    try {
      const given = { ...upload.given, format: formatIn(parts.format), options: await readOptions(parts.options) };
      const what = { how: 'file', given, fileName, keepsMissing: parts.keep === 'missing' } as const;
      return await (preview === '1' ? this.runs.preview(slug, what) : this.runs.bring(slug, what));
    } finally {
      await upload.discard();
    }
  }

  @Patch('posts')
  @ApiBody({ schema: { type: 'array', items: { type: 'object', additionalProperties: true } } })
  @ApiQuery({ name: 'preview', required: false, description: '`1`: nothing is kept.' })
  @Answers('RunMade', { says: 'Posts with ids that are there are changed in what is given; others are added.' })
  @Refuses({ 400: ['bad-body'], 404: ['not-found'], 422: ['no-id', 'too-slow'] })
  upsert(
    @Param('slug') slug: string,
    @Query('preview') preview: string | undefined,
    @Body() body: unknown[],
  ): Promise<RunMade | RunLooked> {
    const what = { how: 'posts', records: recordsIn(body) } as const;
    return preview === '1' ? this.runs.preview(slug, what) : this.runs.bring(slug, what);
  }

  @Delete('posts/:id')
  @ApiQuery({ name: 'preview', required: false, description: '`1`: nothing is kept.' })
  @Answers('RunMade')
  @Refuses({ 404: ['not-found'], 422: ['too-slow'] })
  remove(
    @Param('slug') slug: string,
    @Param('id') id: string,
    @Query('preview') preview: string | undefined,
  ): Promise<RunMade | RunLooked> {
    const what: Bringing = { how: 'removal', ids: [id] };
    return preview === '1' ? this.runs.preview(slug, what) : this.runs.bring(slug, what);
  }

  @Get('runs')
  @Answers('RunView', { of: 'list' })
  list(@Param('slug') slug: string): Promise<RunView[]> {
    return this.runs.list(slug);
  }

  @Post('runs/:id/undo')
  @HttpCode(200)
  @Answers('RunMade', { says: 'The posts are what they were before that run.' })
  @Refuses({ 404: ['not-found'], 409: ['not-newest'], 422: ['too-slow'] })
  undo(@Param('slug') slug: string, @Param('id', ParseIntPipe) id: number): Promise<RunMade> {
    return this.runs.undo(slug, id);
  }
}

function formatIn(text: string | undefined): FileFormat | null {
  if (text === undefined) return null;
  if ((fileFormats as readonly string[]).includes(text)) return text as FileFormat;
  const errors = [{ pointer: '/format', message: `must be one of ${fileFormats.join(', ')}` }];
  throw new Problem(400, 'bad-body', 'The format is none that can be read. See errors.', errors);
}

function recordsIn(body: readonly unknown[]): RawRecord[] {
  const isRecord = (one: unknown): one is RawRecord => typeof one === 'object' && one !== null && !Array.isArray(one);
  if (body.length === 0 || body.length > mostPosts) {
    const detail = `Send a JSON array of 1 to ${mostPosts} posts, each an object with its id.`;
    throw new Problem(400, 'bad-body', detail);
  }
  const errors = body.flatMap((one, i) => (isRecord(one) ? [] : [{ pointer: `/${i}`, message: 'must be an object' }]));
  if (errors.length > 0)
    throw new Problem(400, 'bad-body', 'Some of the posts are no objects. See errors.', errors.slice(0, 50));
  return body as RawRecord[];
}
