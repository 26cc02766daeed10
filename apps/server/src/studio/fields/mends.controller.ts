import { Body, Controller, Delete, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiProperty, ApiQuery, ApiTags } from '@nestjs/swagger';
import { IsString, MaxLength, MinLength } from 'class-validator';
import { Answers, AnswersNothing, Refuses } from '../../api/describe.js';
import type { FindingView, MendMade, MendView } from './mend.view.js';
import { MendsService } from './mends.service.js';

export class MendBody {
  @ApiProperty({ description: 'Id of the finding.' })
  @IsString()
  @MinLength(1)
  @MaxLength(5000)
  finding: string;

  @ApiProperty({ description: 'Id of one of its mends.' })
  @IsString()
  @MinLength(1)
  @MaxLength(500)
  mend: string;
}

/** What was found wrong in a source, and the rules that mend it. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug')
export class MendsController {
  constructor(private readonly mends: MendsService) {}

  @Get('findings')
  @Answers('FindingView', { of: 'list' })
  findings(@Param('slug') slug: string): Promise<FindingView[]> {
    return this.mends.findings(slug);
  }

  @Get('mends')
  @Answers('MendView', { of: 'list', says: 'The rules in force: applied whenever values are read.' })
  list(@Param('slug') slug: string): Promise<MendView[]> {
    return this.mends.list(slug);
  }

  @Post('mends')
  @ApiQuery({ name: 'preview', required: false, description: '`1`: nothing is kept.' })
  @Answers('MendMade', { status: 201 })
  @Refuses({ 404: ['not-found'], 409: ['lens-breaks'], 422: ['no-mend', 'too-slow'] })
  add(
    @Param('slug') slug: string,
    @Query('preview') preview: string | undefined,
    @Body() { finding, mend }: MendBody,
  ): Promise<MendMade> {
    return this.mends.add(slug, finding, mend, preview === '1');
  }

  @Delete('mends/:id')
  @HttpCode(204)
  @AnswersNothing()
  @Refuses({ 404: ['not-found'], 409: ['lens-breaks'], 422: ['too-slow'] })
  remove(@Param('slug') slug: string, @Param('id') id: string): Promise<void> {
    return this.mends.remove(slug, id);
  }
}
