import { Module } from '@nestjs/common';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { SharedModule } from '../../shared/shared.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { IntakeModule } from '../intake/intake.module.js';
import { SkosController } from './skos.controller.js';
import { TermsController } from './terms.controller.js';
import { TermsService } from './terms.service.js';

@Module({
  imports: [SharedModule, DeliveryModule, IntakeModule, SourcesModule],
  controllers: [SkosController, TermsController],
  providers: [TermsService],
})
export class TermsModule {}
