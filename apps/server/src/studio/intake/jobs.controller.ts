import { Controller, Delete, Get, HttpCode, Param, Res } from '@nestjs/common';
import { ApiNoContentResponse, ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { Jobs, type JobState, type JobStatus } from './jobs.js';

export class JobView implements JobStatus {
  @ApiProperty() id: string;
  @ApiProperty({ enum: ['running', 'done', 'failed', 'cancelled'] }) state: JobState;
  @ApiProperty({ description: 'How many others come before it; 0 once it is being worked on.' }) waits: number;
  @ApiProperty({ description: 'Records kept so far.' }) done: number;
  @ApiProperty({ description: 'Records in all; 0 while that is not known.' }) total: number;
  @ApiProperty({ description: 'Records a second.' }) rate: number;
  @ApiProperty({ required: false, description: 'What came of it.' }) result?: unknown;
  @ApiProperty({ required: false, type: Object, description: 'Why it failed (RFC 9457).' })
  problem?: JobStatus['problem'];
}

@ApiTags('jobs')
@Controller('api/v1/jobs')
export class JobsController {
  constructor(private readonly jobs: Jobs) {}

  @Get(':id')
  @ApiOkResponse({ type: JobView })
  find(@Param('id') id: string): JobView {
    return this.jobs.status(id);
  }

  @Get(':id/events')
  @ApiOkResponse({ description: 'The same as server-sent events, one a change, until it is over.' })
  events(@Param('id') id: string, @Res() reply: FastifyReply): void {
    this.jobs.status(id);
    reply.hijack();
    const { raw } = reply;
    raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    const stop = this.jobs.watch(id, (status) => {
      raw.write(`data: ${JSON.stringify(status)}\n\n`);
      if (status.state !== 'running') raw.end();
    });
    raw.on('close', stop);
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiNoContentResponse()
  cancel(@Param('id') id: string): void {
    this.jobs.cancel(id);
  }
}
