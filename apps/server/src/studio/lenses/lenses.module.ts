import { Module } from '@nestjs/common';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { SharedModule } from '../../shared/shared.module.js';
import { AddressesModule } from '../addresses/addresses.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { BundlesController } from '../bundles/bundles.controller.js';
import { BundlesService } from '../bundles/bundles.service.js';
import { DraftPageController } from './draft-page.controller.js';
import { DraftsController } from './drafts.controller.js';
import { LensesController } from './lenses.controller.js';
import { LensesService } from './lenses.service.js';
import { ReleasesController } from './releases.controller.js';
import { ReleasesService } from './releases.service.js';
import { DryRunsService } from './dry-runs.service.js';
import { SightsController } from './sights.controller.js';
import { SightsService } from './sights.service.js';
import { WhyController } from './why.controller.js';

@Module({
  imports: [SharedModule, DeliveryModule, SourcesModule, AddressesModule],
  controllers: [
    LensesController,
    ReleasesController,
    DraftsController,
    DraftPageController,
    BundlesController,
    SightsController,
    WhyController,
  ],
  providers: [LensesService, ReleasesService, DryRunsService, SightsService, BundlesService],
  exports: [LensesService, ReleasesService],
})
export class LensesModule {}
