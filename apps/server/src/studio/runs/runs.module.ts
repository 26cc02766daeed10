import { Module } from '@nestjs/common';
import { SharedModule } from '../../shared/shared.module.js';
import { IntakeModule } from '../intake/intake.module.js';
import { SourcesModule } from '../sources/sources.module.js';
import { PostsController } from './posts.controller.js';
import { RunsService } from './runs.service.js';

@Module({
  imports: [SharedModule, IntakeModule, SourcesModule],
  controllers: [PostsController],
  providers: [RunsService],
  exports: [RunsService],
})
export class RunsModule {}
