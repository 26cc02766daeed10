import { Controller, Delete, Get, HttpCode, Param, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Answers, AnswersAs, AnswersNothing, Refuses } from '../../api/describe.js';
import type { FastifyReply } from 'fastify';
import { Jobs, type JobStatus } from './jobs.js';

@ApiTags('jobs')
@Controller('api/v1/jobs')
export class JobsController {
  constructor(private readonly jobs: Jobs) {}

  @Get(':id')
  @Answers('JobStatus')
  find(@Param('id') id: string): JobStatus {
    return this.jobs.status(id);
  }

  @Get(':id/events')
  @AnswersAs('text/event-stream', 'The same as server-sent events, one a change, until it is over.')
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
  @AnswersNothing()
  @Refuses({ 409: ['job-over'] })
  cancel(@Param('id') id: string): void {
    this.jobs.cancel(id);
  }
}
