import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../../api/describe.js';
import { doorsToken, type Doors } from '../../doors/doors.js';
import { version } from '../../version.js';

/** What the studio should know of the server it is on. */
export interface AboutView {
  version: string;
  /** Origin that pages elsewhere reach it by. */
  publicUrl: string | null;
}

@ApiTags('health')
@Controller('api/v1/about')
export class AboutController {
  constructor(@Inject(doorsToken) private readonly doors: Doors) {}

  @Get()
  @Answers('AboutView')
  about(): AboutView {
    return { version, publicUrl: this.doors.publicUrl };
  }
}
