import type { TermChange } from '@ivy/core';
import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { MergeBody, NewTermBody, TermBody } from './term.bodies.js';
import type { TermChangeView, TermEffect, TermView } from './term.view.js';
import { TermsService } from './terms.service.js';

const looks = { name: 'preview', required: false, description: '`1`: nothing is kept.' };

/** The terms of a field, and what is done to them. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug/terms/:field')
export class TermsController {
  constructor(private readonly terms: TermsService) {}

  @Get()
  @Answers('TermView', { of: 'list', says: 'Depth first, in their order.' })
  list(@Param('slug') slug: string, @Param('field') field: string): Promise<TermView[]> {
    return this.terms.list(slug, field);
  }

  @Post()
  @ApiQuery(looks)
  @Answers('TermEffect', { status: 201 })
  @Refuses({ 404: ['not-found', 'no-such-term'], 409: ['slug-taken', 'too-many-terms', 'too-deep'], 422: ['no-terms'] })
  add(
    @Param('slug') slug: string,
    @Param('field') field: string,
    @Query('preview') preview: string | undefined,
    @Body() body: NewTermBody,
  ): Promise<TermEffect> {
    return this.#do(slug, field, { does: 'add', ...body }, preview);
  }

  @Post('merge')
  @HttpCode(200)
  @ApiQuery(looks)
  @Answers('TermEffect', { says: 'Posts that have one of some terms have another instead.' })
  @Refuses({ 404: ['not-found', 'no-such-term'], 409: ['nothing-to-merge', 'too-deep'], 422: ['no-terms'] })
  merge(
    @Param('slug') slug: string,
    @Param('field') field: string,
    @Query('preview') preview: string | undefined,
    @Body() { from, into }: MergeBody,
  ): Promise<TermEffect> {
    return this.#do(slug, field, { does: 'merge', from, into }, preview);
  }

  @Get('changes')
  @Answers('TermChangeView', { of: 'list', says: 'What was done to these terms, the newest first.' })
  history(@Param('slug') slug: string, @Param('field') field: string): Promise<TermChangeView[]> {
    return this.terms.history(slug, field);
  }

  @Post('undo')
  @HttpCode(200)
  @Answers('TermChangeView', { says: 'The newest change was taken back.' })
  @Refuses({ 404: ['not-found'], 409: ['nothing-to-undo', 'term-in-use'], 422: ['no-terms'] })
  undo(@Param('slug') slug: string, @Param('field') field: string): Promise<TermChangeView> {
    return this.terms.step(slug, field, true);
  }

  @Post('redo')
  @HttpCode(200)
  @Answers('TermChangeView', { says: 'What was taken back last was made again.' })
  @Refuses({ 404: ['not-found'], 409: ['nothing-to-undo'], 422: ['no-terms'] })
  redo(@Param('slug') slug: string, @Param('field') field: string): Promise<TermChangeView> {
    return this.terms.step(slug, field, false);
  }

  @Patch(':term')
  @ApiQuery(looks)
  @Answers('TermEffect')
  @Refuses({ 404: ['not-found', 'no-such-term'], 409: ['slug-taken', 'in-a-circle', 'too-deep'], 422: ['no-terms'] })
  change(
    @Param('slug') slug: string,
    @Param('field') field: string,
    @Param('term') term: string,
    @Query('preview') preview: string | undefined,
    @Body() body: TermBody,
  ): Promise<TermEffect> {
    return this.#do(slug, field, changeOf(term, body), preview);
  }

  @Delete(':term')
  @ApiQuery(looks)
  @Answers('TermEffect', { says: 'Its posts lose it; what stands under it moves up.' })
  @Refuses({ 404: ['not-found', 'no-such-term'], 422: ['no-terms'] })
  remove(
    @Param('slug') slug: string,
    @Param('field') field: string,
    @Param('term') term: string,
    @Query('preview') preview: string | undefined,
  ): Promise<TermEffect> {
    return this.#do(slug, field, { does: 'remove', term }, preview);
  }

  #do(slug: string, field: string, change: TermChange, preview: string | undefined): Promise<TermEffect> {
    return preview === '1' ? this.terms.look(slug, field, change) : this.terms.change(slug, field, change);
  }
}

function changeOf(term: string, { label, slug, parent, position, hidden, picture, colour }: TermBody): TermChange {
  const isGiven = (...values: unknown[]) => values.some((value) => value !== undefined);
  const changes: TermChange[] = [
    ...(isGiven(label, slug) ? [{ does: 'rename' as const, term, label, slug }] : []),
    ...(isGiven(parent, position) ? [{ does: 'move' as const, term, parent, position }] : []),
    ...(hidden === undefined ? [] : [{ does: 'hide' as const, term, hidden }]),
    ...(isGiven(picture, colour) ? [{ does: 'picture' as const, term, picture, colour }] : []),
  ];
  if (changes.length === 0) throw new Problem(422, 'nothing-said', 'Say what is to be another of the term.');
  return changes.length === 1 ? changes[0]! : { does: 'several', changes };
}
