import { Module } from '@nestjs/common';
import { DeliveryModule } from '../../delivery/delivery.module.js';
import { OutsideModule } from '../../outside/outside.module.js';
import { CheckController } from './check.controller.js';

@Module({ imports: [DeliveryModule, OutsideModule], controllers: [CheckController] })
export class CheckModule {}
