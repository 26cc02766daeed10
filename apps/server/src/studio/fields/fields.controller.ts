import { Body, Controller, Param, Patch, Query } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, Refuses } from '../../api/describe.js';
import { FieldBody } from './field.body.js';
import { FieldsService, type FieldPreview } from './fields.service.js';

/** How the fields of a source are read. */
@ApiTags('sources')
@Controller('api/v1/sources/:slug/fields')
export class FieldsController {
  constructor(private readonly fields: FieldsService) {}

  @Patch(':key')
  @ApiQuery({ name: 'preview', required: false, description: '`1`: nothing is kept.' })
  @Answers('FieldPreview', { says: 'What it comes to: values before and after, and what it does to lenses.' })
  @Refuses({ 404: ['not-found'], 409: ['lens-breaks'], 422: ['id-stays', 'no-field', 'no-reference', 'too-slow'] })
  change(
    @Param('slug') slug: string,
    @Param('key') key: string,
    @Query('preview') preview: string | undefined,
    @Body() body: FieldBody,
  ): Promise<FieldPreview> {
    return preview === '1'
      ? this.fields.preview(slug, key, { [key]: body })
      : this.fields.change(slug, key, { [key]: body });
  }
}
