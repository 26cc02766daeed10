import { Controller, Get, HttpCode, Param, ParseUUIDPipe, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers, Refuses } from '../../api/describe.js';
import { DeletedService, type BroughtBack, type DeletedView } from './deleted.service.js';

/** Sources and lenses that were deleted within a day. */
@ApiTags('deleted')
@Controller('api/v1/deleted')
export class DeletedController {
  constructor(private readonly deleted: DeletedService) {}

  @Get()
  @Answers('DeletedView', { of: 'list' })
  list(): Promise<DeletedView[]> {
    return this.deleted.list();
  }

  @Post(':id/restore')
  @HttpCode(200)
  @Answers('BroughtBack')
  @Refuses({ 404: ['not-found'], 409: ['source-deleted'] })
  restore(@Param('id', ParseUUIDPipe) id: string): Promise<BroughtBack> {
    return this.deleted.restore(id);
  }
}
