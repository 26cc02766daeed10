import { Body, Controller, Delete, Get, HttpCode, Param, Post, Query } from '@nestjs/common';
import { ApiPropertyOptional, ApiQuery, ApiTags } from '@nestjs/swagger';
import { IsOptional, IsString, MaxLength, MinLength, ValidateIf } from 'class-validator';
import { Answers, AnswersNothing, Refuses } from '../../api/describe.js';
import { IsTexts } from './is-texts.js';
import type { FindingView, MendMade, MendView } from './mend.view.js';
import { MendsService } from './mends.service.js';

/** A finding and one of its mends; or all findings of a code, each mended as is advised; or values as a person writes them. */
export class MendBody {
  @ApiPropertyOptional({ description: 'Id of the finding.' })
  @ValidateIf(({ code, field }: MendBody) => code === undefined && field === undefined)
  @IsString()
  @MinLength(1)
  @MaxLength(5000)
  finding?: string;

  @ApiPropertyOptional({ description: 'Id of one of its mends.' })
  @ValidateIf(({ finding }: MendBody) => finding !== undefined)
  @IsString()
  @MinLength(1)
  @MaxLength(500)
  mend?: string;

  @ApiPropertyOptional({ description: 'All findings of this code.' })
  @IsOptional()
  @IsString()
  @MaxLength(100)
  code?: string;

  @ApiPropertyOptional({ description: 'Field whose values are written by hand.' })
  @IsOptional()
  @IsString()
  @MaxLength(120)
  field?: string;

  @ApiPropertyOptional({ description: 'By value as it came: what it is read as; nothing: as none.' })
  @ValidateIf(({ field }: MendBody) => field !== undefined)
  @IsTexts()
  values?: Record<string, string>;
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
    @Body() { finding, mend, code, field, values }: MendBody,
  ): Promise<MendMade> {
    const isLook = preview === '1';
    if (field !== undefined) return this.mends.write(slug, field, values!, isLook);
    return code === undefined ? this.mends.add(slug, finding!, mend!, isLook) : this.mends.addAll(slug, code, isLook);
  }

  @Delete('mends/:id')
  @HttpCode(204)
  @AnswersNothing()
  @Refuses({ 404: ['not-found'], 409: ['lens-breaks'], 422: ['too-slow'] })
  remove(@Param('slug') slug: string, @Param('id') id: string): Promise<void> {
    return this.mends.remove(slug, id);
  }
}
