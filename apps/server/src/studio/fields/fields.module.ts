import { Module } from '@nestjs/common';
import { SharedModule } from '../../shared/shared.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { FieldsController } from './fields.controller.js';
import { FieldsService } from './fields.service.js';
import { MendsController } from './mends.controller.js';
import { MendsService } from './mends.service.js';

@Module({
  imports: [SharedModule, SourcesModule],
  controllers: [FieldsController, MendsController],
  providers: [FieldsService, MendsService],
})
export class FieldsModule {}
