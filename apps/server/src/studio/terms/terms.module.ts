import { Module } from '@nestjs/common';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { SharedModule } from '../../shared/shared.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { TermsController } from './terms.controller.js';
import { TermsService } from './terms.service.js';

@Module({
  imports: [SharedModule, DeliveryModule, SourcesModule],
  controllers: [TermsController],
  providers: [TermsService],
})
export class TermsModule {}
