import { FileProblem, readSkos, writeJsonLd, writeTurtle } from '@ivy/formats';
import { Controller, Get, HttpCode, Param, Post, Query, Req, Res } from '@nestjs/common';
import { ApiBody, ApiConsumes, ApiQuery, ApiTags } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { readFile } from 'node:fs/promises';
import { Answers, AnswersAs, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { Uploads } from '../intake/uploads.js';
import type { TermEffect } from './term.view.js';
import { TermsService } from './terms.service.js';

const writers = {
  jsonld: { write: writeJsonLd, type: 'application/ld+json; charset=utf-8', ending: 'jsonld' },
  turtle: { write: writeTurtle, type: 'text/turtle; charset=utf-8', ending: 'ttl' },
};

/** Bytes of a taxonomy at most: it is read at once. */
const mostBytes = 8 * 1024 * 1024;

/** The terms of a field as SKOS, out and in. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug/terms/:field')
export class SkosController {
  constructor(
    private readonly terms: TermsService,
    private readonly uploads: Uploads,
  ) {}

  @Get('export')
  @ApiQuery({ name: 'as', enum: Object.keys(writers) })
  @AnswersAs('text/turtle', 'The terms as SKOS: they come in again unchanged.')
  @Refuses({ 400: ['bad-query'], 404: ['not-found'] })
  async export(
    @Param('slug') slug: string,
    @Param('field') field: string,
    @Query('as') as: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<string> {
    if (as !== 'jsonld' && as !== 'turtle') {
      throw new Problem(400, 'bad-query', 'Say what it is to be written as: jsonld or turtle.');
    }
    const { write, type, ending } = writers[as];
    const terms = await this.terms.list(slug, field);
    const name = encodeURIComponent(`${field}.${ending}`);
    void reply
      .header('content-type', type)
      .header('content-disposition', `attachment; filename*=UTF-8''${name}`)
      .header('cache-control', 'no-store');
    return write(terms, field);
  }

  @Post('import')
  @HttpCode(200)
  @ApiConsumes('multipart/form-data')
  @ApiBody({
    schema: {
      type: 'object',
      required: ['file'],
      properties: {
        file: { type: 'string', format: 'binary' },
        language: { type: 'string', description: 'Of the labels that are taken, where there are several.' },
      },
    },
  })
  @ApiQuery({ name: 'preview', required: false, description: '`1`: nothing is kept.' })
  @Answers('TermEffect', { says: 'Terms are as SKOS has them; what it does not know stays.' })
  @Refuses({
    400: ['no-file', 'broken-upload'],
    404: ['not-found', 'no-such-term'],
    409: ['slug-taken', 'too-many-terms', 'too-deep', 'in-a-circle'],
    413: ['too-large'],
    415: ['not-multipart'],
    422: ['unreadable', 'no-terms'],
  })
  async import(
    @Param('slug') slug: string,
    @Param('field') field: string,
    @Query('preview') preview: string | undefined,
    @Req() request: FastifyRequest,
  ): Promise<TermEffect> {
    const upload = await this.uploads.receive(request);
    try {
      if (upload.size > mostBytes)
        throw new Problem(413, 'too-large', 'A taxonomy may have 8 MB. Bring in a part of it.');
      const concepts = read(await readFile(upload.given.files[0]!.path), upload.parts.language ?? '');
      const change = await this.terms.towards(slug, field, concepts, upload.fileName);
      if (!change) return { ...nothing, text: 'They are like this already' };
      return await (preview === '1' ? this.terms.look(slug, field, change) : this.terms.change(slug, field, change));
    } finally {
      await upload.discard();
    }
  }
}

const nothing: TermEffect = {
  ...{ text: '', term: null, posts: 0, before: 0, after: 0 },
  ...{ filled: { before: 0, after: 0 }, lenses: [] },
};

function read(bytes: Buffer, language: string) {
  try {
    return readSkos(bytes, language);
  } catch (error) {
    if (!(error instanceof FileProblem)) throw error;
    throw new Problem(422, error.code, error.message);
  }
}
