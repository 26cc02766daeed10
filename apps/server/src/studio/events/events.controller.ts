import { Controller, Get, Res, type OnModuleDestroy } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import type { ServerResponse } from 'node:http';
import { AnswersAs, Refuses } from '../../api/describe.js';
import { Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';

/** How often, in ms, something is said where nothing happens: what stands between would end a silent connection. */
const heartbeat = 25_000;
/** Connections at once: a browser keeps one for all its tabs. */
const mostListeners = 500;

/** Tells everyone who works in the studio what changes, whoever changes it and in whichever process. */
@ApiTags('health')
@Controller('api/v1/events')
export class EventsController implements OnModuleDestroy {
  readonly #listeners = new Set<ServerResponse>();
  readonly #timer = setInterval(() => this.#say(': still here\n\n'), heartbeat).unref();

  constructor(changes: Changes) {
    changes.on((change) => this.#say(`data: ${JSON.stringify(change)}\n\n`));
  }

  /** A server that stops waits for nobody who only listens. */
  onModuleDestroy(): void {
    clearInterval(this.#timer);
    for (const listener of this.#listeners) listener.end();
  }

  @Get()
  @AnswersAs('text/event-stream', 'Each change: `{"kind":"source","id":…}` or `{"kind":"lens","slug":…}`.')
  @Refuses({ 503: ['too-many-listeners'] })
  events(@Res() reply: FastifyReply): void {
    if (this.#listeners.size >= mostListeners) {
      throw new Problem(503, 'too-many-listeners', 'Too many browsers listen already. Try again later.');
    }
    reply.hijack();
    const { raw } = reply;
    raw.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
    raw.write(': here\n\n');
    this.#listeners.add(raw);
    raw.on('close', () => this.#listeners.delete(raw));
  }

  #say(text: string): void {
    for (const listener of this.#listeners) listener.write(text);
  }
}
