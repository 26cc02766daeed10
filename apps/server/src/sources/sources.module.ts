import { Module } from '@nestjs/common';
import { SharedModule } from '../shared/shared.module.js';
import { IntakeModule } from '../intake/intake.module.js';
import { IndexKeeper } from './index-keeper.js';
import { SourcesController } from './sources.controller.js';
import { SourcesService } from './sources.service.js';

@Module({
  imports: [SharedModule, IntakeModule],
  controllers: [SourcesController],
  providers: [SourcesService, IndexKeeper],
  exports: [SourcesService, IndexKeeper],
})
export class SourcesModule {}
