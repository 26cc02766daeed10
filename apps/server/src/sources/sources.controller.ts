import { Controller, Delete, Get, HttpCode, Param, Post, Req } from '@nestjs/common';
import {
  ApiBody,
  ApiConsumes,
  ApiCreatedResponse,
  ApiNoContentResponse,
  ApiOkResponse,
  ApiTags,
} from '@nestjs/swagger';
import type { FastifyRequest } from 'fastify';
import { notFound } from '../problem/problem.js';
import { bodyPipe } from '../problem/body.pipe.js';
import { IndexKeeper } from './index-keeper.js';
import { IntakeBody } from './intake.body.js';
import { SourceSummary, SourceView, summaryOf, TermView, termViews, viewOf } from './source.view.js';
import { SourcesService } from './sources.service.js';
import { readUploadParts } from './upload.js';

@ApiTags('sources')
@Controller('api/v1/sources')
export class SourcesController {
  constructor(
    private readonly sources: SourcesService,
    private readonly indexes: IndexKeeper,
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
  async bringIn(@Req() request: FastifyRequest): Promise<SourceView> {
    const { bytes, fileName, parts } = await readUploadParts(request);
    const body = (await bodyPipe.transform(parts, { type: 'body', metatype: IntakeBody })) as IntakeBody;
    return viewOf(await this.sources.bringIn({ bytes, fileName, ...body }));
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

  @Delete(':slug')
  @HttpCode(204)
  @ApiNoContentResponse()
  async remove(@Param('slug') slug: string): Promise<void> {
    await this.sources.remove(slug);
  }
}
