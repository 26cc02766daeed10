import { Module } from '@nestjs/common';
import { DeliveryModule } from '../delivery/delivery.module.js';
import { SharedModule } from '../shared/shared.module.js';
import { AboutController } from './about/about.controller.js';
import { IntakeModule } from './intake/intake.module.js';
import { LiveModule } from './live/live.module.js';
import { LensesModule } from './lenses/lenses.module.js';
import { CheckModule } from './check/check.module.js';
import { DemoController } from './demo/demo.controller.js';
import { DeletedModule } from './deleted/deleted.module.js';
import { EventsController } from './events/events.controller.js';
import { FieldsModule } from './fields/fields.module.js';
import { MatchModule } from './match/match.module.js';
import { PagesModule } from './pages/pages.module.js';
import { FrameController } from './preview/frame.controller.js';
import { PreviewController } from './preview/preview.controller.js';
import { RunsModule } from './runs/runs.module.js';
import { TermsModule } from './terms/terms.module.js';
import { SourcesModule } from './sources/sources.module.js';

/** What whoever works on sources and lenses asks for. All of it is behind the guard. */
@Module({
  imports: [
    SharedModule,
    DeliveryModule,
    IntakeModule,
    SourcesModule,
    LensesModule,
    CheckModule,
    MatchModule,
    PagesModule,
    FieldsModule,
    TermsModule,
    RunsModule,
    LiveModule,
    DeletedModule,
  ],
  controllers: [AboutController, DemoController, EventsController, PreviewController, FrameController],
})
export class StudioModule {}
