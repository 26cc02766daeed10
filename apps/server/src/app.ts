import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import multipart from '@fastify/multipart';
import statics from '@fastify/static';
import { limits } from '@ivy/formats';
import { NestFactory } from '@nestjs/core';
import { FastifyAdapter, type NestFastifyApplication } from '@nestjs/platform-fastify';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { existsSync } from 'node:fs';
import { documentOf } from './api/document.js';
import { AppModule } from './app.module.js';
import { DeliveryModule } from './delivery/delivery.module.js';
import { takeJsonBodies } from './doors/bodies.js';
import { readDoors, type Doors } from './doors/doors.js';
import { guardDoors } from './doors/guard.js';
import { pathsOf } from './doors/public-paths.js';
import { studioPolicy } from './doors/policies.js';
import { endSlowSenders } from './doors/slow-senders.js';
import { bodyPipe } from './problem/body.pipe.js';
import { asProblem, ProblemFilter, writeProblem } from './problem/problem.filter.js';
import { Problem } from './problem/problem.js';
import { fromRoot } from './shared/paths.js';

export interface AppOptions {
  databaseUrl: string;
  logs?: boolean;
  /** Who may come in; on loopback alone if not said otherwise. */
  doors?: Doors;
}

/** Makes the server, not yet listening. */
export async function createApp({
  databaseUrl,
  logs = true,
  doors = readDoors({}),
}: AppOptions): Promise<NestFastifyApplication> {
  const adapter = new FastifyAdapter({
    bodyLimit: 4 * 1024 * 1024,
    // an address may be long; past our own limit we answer 414 in words, so the parser must let it in
    // and headers that do not come are not waited for
    http: { maxHeaderSize: 64 * 1024, headersTimeout: 15_000, connectionsCheckingInterval: 5_000 },
    // far more than a body may take, which is looked at on its own
    requestTimeout: 30 * 60_000,
    routerOptions: { maxParamLength: 500 },
    frameworkErrors: (error: unknown, _request: FastifyRequest, reply: FastifyReply) =>
      writeProblem(reply, asProblem(error)),
  });
  const app = await NestFactory.create<NestFastifyApplication>(AppModule.with(databaseUrl, doors), adapter, {
    logger: logs ? ['error', 'warn'] : false,
    abortOnError: false,
    bodyParser: false,
  });
  const server = app.getHttpAdapter().getInstance();
  takeJsonBodies(server);
  guardDoors(server, doors, [...pathsOf(DeliveryModule), /^\/api\/v1\/openapi\.json$/]);
  endSlowSenders(server);
  await app.register(helmet, { strictTransportSecurity: false, contentSecurityPolicy: false });
  // pages that may do less, or something else, say so in its place
  server.addHook('onRequest', (_request, reply, done) => {
    void reply.header('content-security-policy', studioPolicy);
    done();
  });
  await app.register(compress, { threshold: 1024 });
  await app.register(multipart, { limits: { fileSize: limits.bytes, files: 2000, fields: 20, fieldSize: 10_000 } });
  app.useGlobalPipes(bodyPipe);
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks();
  serveDocument(app);
  await serveStudio(app);
  await app.init();
  await app.getHttpAdapter().getInstance().ready();
  return app;
}

function serveDocument(app: NestFastifyApplication): void {
  let document: unknown;
  app
    .getHttpAdapter()
    .getInstance()
    .get('/api/v1/openapi.json', (_request, reply) => {
      document ??= documentOf(app);
      void reply.send(document);
    });
}

/** Places of the studio have no dot in them and none of the names that mean something else. */
function isStudioPlace(url: string): boolean {
  const path = url.split('?', 1)[0]!;
  return path.length <= 300 && !/^\/(api|embed|preview|assets|l)(\/|$)/.test(path) && !path.includes('.');
}

/** Serves the studio, one page for all its places. */
async function serveStudio(app: NestFastifyApplication): Promise<void> {
  const root = fromRoot('apps', 'studio', 'dist');
  if (!existsSync(root)) return;
  await app.register(statics, {
    root,
    wildcard: false,
    index: false,
    setHeaders: (reply, path) => {
      const lasting = path.includes('/assets/');
      reply.header('cache-control', lasting ? 'public, max-age=31536000, immutable' : 'no-cache');
    },
  });
  app
    .getHttpAdapter()
    .getInstance()
    .get('/*', (request, reply) => {
      if (!isStudioPlace(request.url)) {
        writeProblem(reply, new Problem(404, 'not-found', 'There is nothing at this address.'));
      } else void reply.header('cache-control', 'no-cache').sendFile('index.html');
    });
}
