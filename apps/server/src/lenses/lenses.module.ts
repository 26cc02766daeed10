import { Module } from '@nestjs/common';
import { SharedModule } from '../shared/shared.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { LensKeeper } from './lens-keeper.js';
import { LensesController } from './lenses.controller.js';
import { LensesService } from './lenses.service.js';
import { ResultsController } from './results.controller.js';
import { ResultsService } from './results.service.js';

@Module({
  imports: [SharedModule, SourcesModule],
  controllers: [LensesController, ResultsController],
  providers: [LensesService, LensKeeper, ResultsService],
  exports: [LensesService, LensKeeper, ResultsService],
})
export class LensesModule {}
