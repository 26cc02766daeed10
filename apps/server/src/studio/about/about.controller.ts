import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { doorsToken, type Doors } from '../../doors/doors.js';
import { version } from '../../version.js';

/** What the studio should know of the server it is on. */
export class AboutView {
  @ApiProperty() version: string;
  @ApiProperty({ type: String, nullable: true, description: 'Origin that pages elsewhere reach it by.' })
  publicUrl: string | null;
}

@ApiTags('health')
@Controller('api/v1/about')
export class AboutController {
  constructor(@Inject(doorsToken) private readonly doors: Doors) {}

  @Get()
  @ApiOkResponse({ type: AboutView })
  about(): AboutView {
    return { version, publicUrl: this.doors.publicUrl };
  }
}
