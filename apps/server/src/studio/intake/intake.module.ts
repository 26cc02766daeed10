import { Module } from '@nestjs/common';
import { IntakePool } from './intake-pool.js';
import { Jobs } from './jobs.js';
import { JobsController } from './jobs.controller.js';
import { Uploads } from './uploads.js';

@Module({
  controllers: [JobsController],
  providers: [IntakePool, Jobs, Uploads],
  exports: [IntakePool, Jobs, Uploads],
})
export class IntakeModule {}
