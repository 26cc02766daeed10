import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { MatchBody } from './match.body.js';
import { MatchesService, type Match } from './matches.service.js';

/** What a page looks like, so that a listing can look alike. */
@ApiTags('lenses')
@Controller('api/v1/matches')
export class MatchesController {
  constructor(private readonly matches: MatchesService) {}

  @Post()
  @HttpCode(200)
  @Answers('Match', { says: 'Colours, type, corners and room found in the sheets of a page.' })
  @Refuses({
    422: ['bad-page', 'page-failed', 'page-private', 'page-slow', 'page-too-large'],
    503: ['too-many-waiting'],
  })
  match(@Body() { page, css }: MatchBody): Promise<Match> {
    if ((page === undefined) === (css === undefined)) {
      throw new Problem(422, 'bad-page', 'Give either the address of a page, or rules of its sheet.');
    }
    return page === undefined ? this.matches.ofRules(css!) : this.matches.ofPage(page);
  }
}
