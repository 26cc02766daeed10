import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query } from '@nestjs/common';
import { ApiQuery, ApiTags } from '@nestjs/swagger';
import { Answers, AnswersNothing, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { AddressesService } from './addresses.service.js';
import {
  ChangeAddressBody,
  FolderBody,
  ImportAddressesBody,
  RemoveAddressesBody,
  SaveAddressBody,
} from './saved-address.bodies.js';
import type { AddressCheck, AddressesImported, SavedAddressView } from './saved-address.view.js';

/** Addresses of a lens that someone relies on. */
@ApiTags('lenses')
@Controller('api/v1/lenses/:slug/addresses')
export class AddressesController {
  constructor(private readonly addresses: AddressesService) {}

  @Get()
  @Answers('SavedAddressView', { of: 'list' })
  list(@Param('slug') slug: string): Promise<SavedAddressView[]> {
    return this.addresses.list(slug);
  }

  @Post()
  @Answers('SavedAddressView', { status: 201 })
  @Refuses({ 414: ['address-too-long'], 422: ['too-many-addresses'] })
  save(@Param('slug') slug: string, @Body() body: SaveAddressBody): Promise<SavedAddressView> {
    return this.addresses.save(slug, body);
  }

  @Patch()
  @Answers('SavedAddressView', { of: 'list', says: 'All of them, with the folder called otherwise.' })
  renameFolder(@Param('slug') slug: string, @Body() body: FolderBody): Promise<SavedAddressView[]> {
    return this.addresses.renameFolder(slug, body);
  }

  @Post('import')
  @Answers('AddressesImported', { status: 201, says: 'Each is to return what it returns now.' })
  @Refuses({ 422: ['no-addresses', 'too-many-addresses'] })
  bringIn(@Param('slug') slug: string, @Body() body: ImportAddressesBody): Promise<AddressesImported> {
    return this.addresses.bringIn(slug, body);
  }

  @Get('check')
  @ApiQuery({ name: 'of', required: false, enum: ['draft', 'release'] })
  @Answers('AddressCheck', { of: 'list', says: 'Which hold, and of those that do not, what did it.' })
  @Refuses({ 400: ['bad-query'], 404: ['not-released'] })
  check(@Param('slug') slug: string, @Query('of') of = 'draft'): Promise<AddressCheck[]> {
    if (of !== 'draft' && of !== 'release') throw new Problem(400, 'bad-query', '`of` is draft or release.');
    return this.addresses.check(slug, of);
  }

  @Patch(':id')
  @Answers('SavedAddressView')
  @Refuses({ 414: ['address-too-long'] })
  change(
    @Param('slug') slug: string,
    @Param('id') id: string,
    @Body() body: ChangeAddressBody,
  ): Promise<SavedAddressView> {
    return this.addresses.change(slug, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  @AnswersNothing()
  remove(@Param('slug') slug: string, @Param('id') id: string): Promise<void> {
    return this.addresses.remove(slug, [id]);
  }

  @Post('remove')
  @HttpCode(204)
  @AnswersNothing(204, 'All of them are gone, or, where one is not there, none.')
  removeSeveral(@Param('slug') slug: string, @Body() { ids }: RemoveAddressesBody): Promise<void> {
    return this.addresses.remove(slug, ids);
  }
}
