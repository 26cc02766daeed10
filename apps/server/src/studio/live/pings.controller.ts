import { Controller, HttpCode, Param, ParseUUIDPipe, Post, Req } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { ApiHeader, ApiTags } from '@nestjs/swagger';
import type { FastifyRequest } from 'fastify';
import { createHmac, timingSafeEqual } from 'node:crypto';
import type { DataSource } from 'typeorm';
import { AnswersNothing, Refuses } from '../../api/describe.js';
import { LiveRow } from '../../database/live.entity.js';
import { Problem } from '../../problem/problem.js';
import { LiveService } from './live.service.js';

/** Where the other side says that something changed there. What it says is signed; what it sends is not read. */
@ApiTags('sources')
@Controller('api/v1/pings')
export class PingsController {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly live: LiveService,
  ) {}

  @Post(':id')
  @HttpCode(204)
  @ApiHeader({
    name: 'X-Ivy-Signature',
    description:
      '`t=<seconds since 1970>,v1=<HMAC-SHA256 of "<t>.<id>" by the secret, in hex>`, no older than five minutes.',
  })
  @AnswersNothing()
  @Refuses({ 403: ['bad-signature'] })
  async ping(@Param('id', ParseUUIDPipe) id: string, @Req() request: FastifyRequest): Promise<void> {
    const row = await this.database.getRepository(LiveRow).findOneBy({ sourceId: id });
    const said = String(request.headers['x-ivy-signature'] ?? '');
    // whether there is such a source is nobody’s business who can’t sign for it
    if (!row || !isSigned(said, id, row.ping)) {
      throw new Problem(403, 'bad-signature', 'The ping is not signed as it must be, or it is too old.');
    }
    await this.live.hurry(id);
  }
}

/** Seconds that clocks may differ by. */
const oldest = 5 * 60;

function isSigned(said: string, id: string, secret: string): boolean {
  const [, seconds = '', signature = ''] = /^t=(\d{1,12}),v1=([0-9a-f]{64})$/.exec(said) ?? [];
  if (seconds === '' || Math.abs(Date.now() / 1000 - Number(seconds)) > oldest) return false;
  const due = createHmac('sha256', secret).update(`${seconds}.${id}`).digest();
  return timingSafeEqual(due, Buffer.from(signature, 'hex'));
}
