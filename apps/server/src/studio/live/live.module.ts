import { Module } from '@nestjs/common';
import { OutsideModule } from '../../outside/outside.module.js';
import { SharedModule } from '../../shared/shared.module.js';
import { IntakeModule } from '../intake/intake.module.js';
import { LooksController } from '../looks/looks.controller.js';
import { RunsModule } from '../runs/runs.module.js';
import { SourcesController } from '../sources/sources.controller.js';
import { SourcesModule } from '../sources/sources.module.js';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { Fetches } from './fetches.js';
import { LiveController } from './live.controller.js';
import { LiveService } from './live.service.js';
import { PingsController } from './pings.controller.js';
import { Secrets } from './secrets.js';

@Module({
  imports: [SharedModule, OutsideModule, IntakeModule, SourcesModule, RunsModule, DeliveryModule],
  controllers: [SourcesController, LiveController, LooksController, PingsController],
  providers: [Fetches, LiveService, Secrets],
  exports: [LiveService],
})
export class LiveModule {}
