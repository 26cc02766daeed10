import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { IsString, MaxLength, MinLength } from 'class-validator';
import { Answers, Refuses } from '../../api/describe.js';
import { OutsidePages } from '../../outside/outside-pages.js';

export class PageBody {
  @ApiProperty({ description: 'Address of a page.' })
  @IsString()
  @MinLength(1)
  @MaxLength(2000)
  page: string;
}

/** A page of others, as it was sent. */
export interface PageView {
  /** Where it was in the end, after redirects. */
  address: string;
  html: string;
}

/** Pages of others that a lens is made from. */
@ApiTags('lenses')
@Controller('api/v1/pages')
export class PagesController {
  constructor(private readonly pages: OutsidePages) {}

  @Post()
  @HttpCode(200)
  @Answers('PageView', { says: 'The page, as its server sent it.' })
  @Refuses({
    422: ['bad-page', 'page-failed', 'page-private', 'page-slow', 'page-too-large'],
    503: ['too-many-waiting'],
  })
  fetch(@Body() { page }: PageBody): Promise<PageView> {
    return this.pages.read(page, ({ address, text: html }) => ({ address, html }));
  }
}
