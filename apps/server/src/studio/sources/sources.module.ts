import { Module } from '@nestjs/common';
import { SharedModule } from '../../shared/shared.module.js';
import { IntakeModule } from '../intake/intake.module.js';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { ExportController } from './export.controller.js';
import { SourcesService } from './sources.service.js';

@Module({
  imports: [SharedModule, DeliveryModule, IntakeModule],
  controllers: [ExportController],
  providers: [SourcesService],
  exports: [SourcesService],
})
export class SourcesModule {}
