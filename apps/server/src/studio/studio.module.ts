import { Module } from '@nestjs/common';
import { DeliveryModule } from '../delivery/delivery.module.js';
import { AboutController } from './about/about.controller.js';
import { IntakeModule } from './intake/intake.module.js';
import { LensesModule } from './lenses/lenses.module.js';
import { CheckModule } from './check/check.module.js';
import { FieldsModule } from './fields/fields.module.js';
import { MatchModule } from './match/match.module.js';
import { PagesModule } from './pages/pages.module.js';
import { FrameController } from './preview/frame.controller.js';
import { PreviewController } from './preview/preview.controller.js';
import { SourcesModule } from './sources/sources.module.js';

/** What whoever works on sources and lenses asks for. All of it is behind the guard. */
@Module({
  imports: [
    DeliveryModule,
    IntakeModule,
    SourcesModule,
    LensesModule,
    CheckModule,
    MatchModule,
    PagesModule,
    FieldsModule,
  ],
  controllers: [AboutController, PreviewController, FrameController],
})
export class StudioModule {}
