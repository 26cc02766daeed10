import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { Problem } from '../problem/problem.js';
import { version } from '../version.js';

@ApiTags('health')
@Controller('api/v1/health')
export class HealthController {
  constructor(@InjectDataSource() private readonly database: DataSource) {}

  @Get()
  @ApiOkResponse({ description: 'Ready to serve.' })
  async health(): Promise<{ status: 'ok'; version: string }> {
    try {
      await this.database.query('SELECT 1');
    } catch {
      throw new Problem(503, 'database-down', 'PostgreSQL does not answer. Check that it runs, then try again.');
    }
    return { status: 'ok', version };
  }
}
