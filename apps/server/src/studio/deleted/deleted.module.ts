import { Module } from '@nestjs/common';
import { SharedModule } from '../../shared/shared.module.js';
import { DeletedController } from './deleted.controller.js';
import { DeletedService } from './deleted.service.js';

@Module({ imports: [SharedModule], controllers: [DeletedController], providers: [DeletedService] })
export class DeletedModule {}
