import { Module } from '@nestjs/common';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { SharedModule } from '../../shared/shared.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { DraftPageController } from './draft-page.controller.js';
import { DraftsController } from './drafts.controller.js';
import { LensesController } from './lenses.controller.js';
import { LensesService } from './lenses.service.js';
import { DryRunsService } from './dry-runs.service.js';
import { SightsController } from './sights.controller.js';
import { SightsService } from './sights.service.js';
import { WhyController } from './why.controller.js';

@Module({
  imports: [SharedModule, DeliveryModule, SourcesModule],
  controllers: [LensesController, DraftsController, DraftPageController, SightsController, WhyController],
  providers: [LensesService, DryRunsService, SightsService],
  exports: [LensesService],
})
export class LensesModule {}
