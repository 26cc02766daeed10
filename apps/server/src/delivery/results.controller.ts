import { maxSearch, readPageQuery, splitAddress, type FoundTerms, type Lens, type PageQuery } from '@ivy/core';
import { Controller, Get, HttpCode, Options, Param, Req, Res } from '@nestjs/common';
import { ApiExcludeEndpoint, ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, IsTagged, Refuses, TakesPageQuery } from '../api/describe.js';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { Problem } from '../problem/problem.js';
import { checkLength, ResultsService, tagOfFrame, type Ready } from './results.service.js';
import type { ResponseBody } from './response-cache.js';

@ApiTags('results')
@Controller('api/v1/lenses/:slug')
export class ResultsController {
  constructor(private readonly service: ResultsService) {}

  @Get('results')
  @TakesPageQuery()
  @IsTagged()
  @Answers('Results', { says: 'The answer of the released lens to the page’s query string.' })
  @Refuses({ 404: ['not-released'] })
  async results(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Buffer | void> {
    return this.#send(slug, request, reply, () => 'results');
  }

  @Get('listing')
  @TakesPageQuery()
  @IsTagged()
  @Answers('Listing', { says: 'Settings and answer of the released lens: all a page needs for its first paint.' })
  @Refuses({ 404: ['not-released'] })
  async listing(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Buffer | void> {
    return this.#send(slug, request, reply, () => 'listing');
  }

  @Get('listing/:known')
  @TakesPageQuery()
  @IsTagged()
  @Answers('PageReply', {
    says: 'What the page script asks for: the answer without labels it knows. `known` is what the reply before said; with any other, settings and labels come along.',
  })
  @Refuses({ 404: ['not-released'] })
  async page(
    @Param('slug') slug: string,
    @Param('known') known: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Buffer | void> {
    return this.#send(slug, request, reply, ({ etag }) => (known === tagOfFrame(etag) ? 'page' : 'first page'));
  }

  /** @param what  which body is asked for */
  async #send(
    slug: string,
    request: FastifyRequest,
    reply: FastifyReply,
    what: (ready: Ready) => Parameters<ResultsService['written']>[1],
  ): Promise<Buffer | void> {
    const { own, from, address } = pageQueryOf(request);
    const ready = await this.service.ready(slug, 'release', own);
    allowOrigin(request, reply, ready.kept.lens);
    if (isFresh(request, reply, ready.etag)) return;
    return sent(request, reply, await this.service.written(ready, what(ready), address, from));
  }

  @Get('terms/:facet')
  @ApiQuery({ name: 'find', required: false })
  @TakesPageQuery()
  @Answers('FoundTerms', { says: 'Terms of a facet of the released lens whose label holds `find`, with their counts.' })
  @Refuses({ 404: ['not-released'] })
  async terms(
    @Param('slug') slug: string,
    @Param('facet') facet: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<FoundTerms> {
    const { own, address } = pageQueryOf(request);
    const ready = await this.service.ready(slug, 'release', own);
    allowOrigin(request, reply, ready.kept.lens);
    void reply.header('cache-control', 'no-cache');
    return findTermsOf(this.service, ready, facet, address);
  }

  @Options(['results', 'listing', 'listing/:known', 'terms/:facet'])
  @ApiExcludeEndpoint()
  @HttpCode(204)
  async preflight(
    @Param('slug') slug: string,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<void> {
    const { kept } = await this.service.ready(slug, 'release');
    allowQuestions(request, reply, kept.lens);
  }
}

/** The query string exactly as it came. */
export function queryOf(request: FastifyRequest): string {
  const { url = '' } = request.raw;
  const at = url.indexOf('?');
  return at < 0 ? '' : url.slice(at + 1);
}

/** What a page asks. */
export function pageQueryOf(request: FastifyRequest): PageQuery {
  const query = queryOf(request);
  // what is set for the page alone is read before an address is held to its length
  if (query.includes('~') || query.includes('%7')) checkLength(query);
  return readPageQuery(query);
}

/** Terms of a facet that hold what the address asks to find. */
export async function findTermsOf(
  service: ResultsService,
  ready: Ready,
  facet: string,
  address: string,
): Promise<FoundTerms> {
  const { found, rest } = takeParameter(address, 'find');
  if (found.length > maxSearch) {
    throw new Problem(400, 'too-long', `A term is found by at most ${maxSearch} characters.`);
  }
  return service.terms(ready, facet, found, await service.question(ready, rest));
}

/** The first value of a parameter that is no part of the page's address, and the address without it. */
export function takeParameter(address: string, name: string): { found: string; rest: string } {
  const parameters = splitAddress(address);
  const at = parameters.findIndex((one) => one.name === name);
  const rest = parameters.filter((_, i) => i !== at).map(({ raw }) => raw);
  return { found: at < 0 ? '' : parameters[at]!.value, rest: rest.join('&') };
}

/** The bytes of a body in the form the client can read. */
function sent(request: FastifyRequest, reply: FastifyReply, { plain, gzip }: ResponseBody): Buffer {
  void reply.header('content-type', 'application/json; charset=utf-8');
  if (!reply.hasHeader('vary')) void reply.header('vary', 'accept-encoding');
  const packed = /\bgzip\b(?!\s*;\s*q=0(\.0*)?\s*(,|$))/.test(request.headers['accept-encoding'] ?? '');
  if (!packed || plain.length < 1024) return plain;
  void reply.header('content-encoding', 'gzip');
  return gzip;
}

/** Sets the ETag; when the client has this very state already, answers 304 and says true. */
export function isFresh(request: FastifyRequest, reply: FastifyReply, etag: string): boolean {
  void reply.header('etag', etag).header('cache-control', 'no-cache');
  const known = (request.headers['if-none-match'] ?? '').split(',').map((tag) => tag.trim().replace(/^W\//, ''));
  if (!known.includes(etag) && !known.includes('*')) return false;
  void reply.status(304);
  return true;
}

/** CORS follows the lens: its pages may ask, others may not. */
export function allowOrigin(request: FastifyRequest, reply: FastifyReply, { origins }: Lens): void {
  if (origins.includes('*')) {
    void reply.header('access-control-allow-origin', '*');
  } else {
    void reply.header('vary', 'origin, accept-encoding');
    const { origin } = request.headers;
    if (origin && origins.includes(origin)) void reply.header('access-control-allow-origin', origin);
  }
  void reply.header('access-control-expose-headers', 'etag').header('cross-origin-resource-policy', 'cross-origin');
}

/** What a browser asks before a page of the lens may say what it has already. */
export function allowQuestions(request: FastifyRequest, reply: FastifyReply, lens: Lens): void {
  allowOrigin(request, reply, lens);
  void reply.header('access-control-allow-headers', 'if-none-match').header('access-control-max-age', '86400');
}
