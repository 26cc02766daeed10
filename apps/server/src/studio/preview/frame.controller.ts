import { Controller, Get, Res } from '@nestjs/common';
import { ApiExcludeController } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { framedPolicy } from '../../doors/policies.js';

/** An empty page, in which the studio shows a page of others: none of its scripts runs there. */
@ApiExcludeController()
@Controller('frame')
export class FrameController {
  @Get()
  frame(@Res() reply: FastifyReply): void {
    void reply
      .header('content-type', 'text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .header('content-security-policy', framedPolicy)
      .send('<!doctype html><title>A page</title>');
  }
}
