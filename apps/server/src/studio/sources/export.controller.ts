import { Controller, Get, Param, Query, Res, StreamableFile } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { Readable } from 'node:stream';
import { AnswersAs, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import type { Source } from '../../database/source.entity.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { inTurns } from '../../shared/turns.js';
import { postQuery } from './post-query.js';
import { findIds } from './posts.js';
import { writers } from './post-writers.js';
import { SourcesService } from './sources.service.js';

/** All posts of a source as a file that comes in again unchanged. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug/export')
export class ExportController {
  constructor(
    private readonly sources: SourcesService,
    private readonly indexes: IndexCache,
  ) {}

  @Get()
  @ApiQuery({ name: 'as', enum: Object.keys(writers) })
  @ApiQuery({ name: 'q', required: false, description: 'As for the list of posts: only what is found goes out.' })
  @ApiQuery({ name: 'filter', required: false, description: 'The same: `field:term,term`, once or several times.' })
  @ApiQuery({ name: 'sort', required: false })
  @ApiQuery({ name: 'order', required: false, enum: ['asc', 'desc'] })
  @AnswersAs('text/csv', 'All records, or those that were asked for, as they came.')
  @Refuses({ 400: ['bad-query'], 404: ['not-found'] })
  async export(
    @Param('slug') slug: string,
    @Query() asked: Record<string, string | string[] | undefined>,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StreamableFile> {
    const as = [asked.as].flat().at(-1);
    if (as === undefined || !Object.hasOwn(writers, as)) {
      throw new Problem(400, 'bad-query', `Say what it is to be written as: ${Object.keys(writers).join(' or ')}.`);
    }
    const source = await this.sources.find(slug);
    const writer = writers[as]!;
    const keys = source.fields.map(({ key }) => key);
    const { sources } = this;
    const isSome = ['q', 'filter', 'sort'].some((name) => asked[name] !== undefined && asked[name] !== '');
    const ids = isSome ? await this.#found(source, asked) : null;
    async function* lines() {
      yield writer.head(source, keys);
      let isFirst = true;
      for await (const records of ids ? sources.recordsOf(source.id, ids) : sources.records(source.id)) {
        const { between = '' } = writer;
        yield (isFirst ? '' : between) + records.map((record) => writer.line(record, keys, source)).join(between);
        isFirst = false;
      }
      yield writer.foot ?? '';
    }
    void reply.header('content-type', writer.type);
    const name = encodeURIComponent(`${slug}.${writer.ending ?? as}`);
    void reply
      .header('content-disposition', `attachment; filename*=UTF-8''${name}`)
      .header('cache-control', 'no-store');
    return new StreamableFile(Readable.from(lines()), { type: writer.type });
  }

  /** Ids of the posts that are asked for, in the order that is asked for. */
  async #found(source: Source, asked: Record<string, string | string[] | undefined>): Promise<string[]> {
    const { index } = await this.indexes.of(source.id);
    return inTurns(findIds(index, postQuery(asked, index.fields)));
  }
}
