import { Module } from '@nestjs/common';
import { OutsideModule } from '../../outside/outside.module.js';
import { MatchesController } from './matches.controller.js';
import { MatchesService } from './matches.service.js';

@Module({ imports: [OutsideModule], controllers: [MatchesController], providers: [MatchesService] })
export class MatchModule {}
