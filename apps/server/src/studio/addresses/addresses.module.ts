import { Module } from '@nestjs/common';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { SharedModule } from '../../shared/shared.module.js';
import { AddressChecks } from './address-checks.js';
import { AddressesController } from './addresses.controller.js';
import { AddressesService } from './addresses.service.js';

@Module({
  imports: [SharedModule, DeliveryModule],
  controllers: [AddressesController],
  providers: [AddressChecks, AddressesService],
  exports: [AddressChecks],
})
export class AddressesModule {}
