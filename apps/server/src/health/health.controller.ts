import { Controller, Get } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers } from '../api/describe.js';
import { Problem } from '../problem/problem.js';
import { Changes } from '../shared/changes.js';
import { version } from '../version.js';

/** Milliseconds: whoever asks is told well within a second. */
const answerWithin = 700;

/** What a server that is ready to serve says. */
export interface HealthView {
  status: 'ok';
  version: string;
}

@ApiTags('health')
@Controller('api/v1/health')
export class HealthController {
  constructor(private readonly changes: Changes) {}

  @Get()
  @Answers('HealthView', { says: 'Ready to serve.' })
  async health(): Promise<HealthView> {
    const state = await this.changes.database(answerWithin);
    if (!state.up) {
      const words = 'Released lenses are answered from memory; all else waits until it is back.';
      throw new Problem(503, 'database-down', `PostgreSQL does not answer. ${state.reason} ${words}`);
    }
    return { status: 'ok', version };
  }
}
