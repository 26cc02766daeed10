import { cellText, fieldWithRole, type FieldRole, type RawRecord } from '@ivy/core';
import { feedVersion, recordKey } from '@ivy/formats';
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
import { SourcesService } from './sources.service.js';

/** What records are written as: what stands before, between and after them, and how such a file is called. */
interface Writer {
  type: string;
  /** Of its name, where that is another than what is asked for. */
  ending?: string;
  head: (source: Source, keys: readonly string[]) => string;
  line: (record: RawRecord, keys: readonly string[], source: Source) => string;
  between?: string;
  foot?: string;
}

const writers: Record<string, Writer> = {
  csv: {
    type: 'text/csv; charset=utf-8',
    head: (_source, keys) => `${keys.map(quoted).join(',')}\r\n`,
    line: (record, keys) => `${keys.map((key) => quoted(cellOf(record, key))).join(',')}\r\n`,
  },
  ndjson: {
    type: 'application/x-ndjson; charset=utf-8',
    head: () => '',
    line: (record, keys) => `${JSON.stringify(inOrder(record, keys))}\n`,
  },
  jsonfeed: {
    type: 'application/feed+json; charset=utf-8',
    ending: 'json',
    head: ({ name, site }) => {
      const feed = JSON.stringify({ version: feedVersion, title: name, ...(site !== null && { home_page_url: site }) });
      return `${feed.slice(0, -1)},"items":[\n`;
    },
    line: (record, keys, source) => JSON.stringify(feedItem(record, keys, source)),
    between: ',\n',
    foot: '\n]}\n',
  },
};

/** A record by the order of the fields: the database keeps none. */
function inOrder(record: RawRecord, keys: readonly string[]): RawRecord {
  return Object.fromEntries(keys.flatMap((key) => (Object.hasOwn(record, key) ? [[key, record[key]] as const] : [])));
}

/** A post as JSON Feed 1.1 has it for whoever reads feeds, with the whole record beside it, which comes in again. */
function feedItem(record: RawRecord, keys: readonly string[], { fields, site }: Source): object {
  const said = (role: FieldRole) => {
    const field = fieldWithRole(fields, role);
    return field ? cellOf(record, field.key).trim() : '';
  };
  const address = (role: FieldRole) => {
    const text = said(role);
    return text !== '' && URL.canParse(text, site ?? undefined) ? new URL(text, site ?? undefined).href : '';
  };
  const published = Date.parse(said('published'));
  const item = {
    ...{ id: said('id') || said('link') || said('title'), url: address('link'), title: said('title') },
    ...{ summary: said('summary'), content_text: said('body') || said('summary') || said('title') },
    ...{ image: address('image'), date_published: Number.isNaN(published) ? '' : new Date(published).toISOString() },
  };
  const author = said('author');
  const own = Object.entries(item).filter(([, value]) => value !== '');
  return {
    ...Object.fromEntries(own),
    ...(author && { authors: [{ name: author }] }),
    [recordKey]: inOrder(record, keys),
  };
}

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

/** A value as one cell: lists as their texts, with a bar between. */
function cellOf(record: RawRecord, key: string): string {
  const raw = Object.hasOwn(record, key) ? record[key] : '';
  return typeof raw === 'string' ? raw : cellText(raw);
}

/** A cell as RFC 4180 writes it. */
function quoted(text: string): string {
  return /[",\r\n]|^\s|\s$/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}
