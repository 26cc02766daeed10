import type { CacheFigures } from '@ivy/core';
import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../../api/describe.js';
import { ResultsService } from '../../delivery/results.service.js';
import { doorsToken, type Doors } from '../../doors/doors.js';
import { version } from '../../version.js';

/** What the studio should know of the server it is on. */
export interface AboutView {
  version: string;
  /** Origin that pages elsewhere reach it by. */
  publicUrl: string | null;
  /** How the caches of this process are doing; weights in bytes. */
  caches: { responses: CacheFigures };
}

@ApiTags('health')
@Controller('api/v1/about')
export class AboutController {
  constructor(
    @Inject(doorsToken) private readonly doors: Doors,
    private readonly results: ResultsService,
  ) {}

  @Get()
  @Answers('AboutView')
  about(): AboutView {
    return { version, publicUrl: this.doors.publicUrl, caches: { responses: this.results.figures } };
  }
}
