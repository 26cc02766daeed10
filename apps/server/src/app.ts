import compress from '@fastify/compress';
import helmet from '@fastify/helmet';
import multipart from '@fastify/multipart';
import statics from '@fastify/static';
import { limits } from '@ivy/formats';
import { NestFactory } from '@nestjs/core';
import { FastifyAdapter, type NestFastifyApplication } from '@nestjs/platform-fastify';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { existsSync } from 'node:fs';
import { AppModule } from './app.module.js';
import { bodyPipe } from './problem/body.pipe.js';
import { asProblem, ProblemFilter, writeProblem } from './problem/problem.filter.js';
import { Problem } from './problem/problem.js';
import { fromRoot } from './shared/paths.js';
import { version } from './version.js';

export interface AppOptions {
  databaseUrl: string;
  logs?: boolean;
}

/** Makes the server, not yet listening. */
export async function createApp({ databaseUrl, logs = true }: AppOptions): Promise<NestFastifyApplication> {
  const adapter = new FastifyAdapter({
    bodyLimit: 4 * 1024 * 1024,
    // an address may be long; past our own limit we answer 414 in words, so the parser must let it in
    http: { maxHeaderSize: 64 * 1024 },
    routerOptions: { maxParamLength: 500 },
    frameworkErrors: (error: unknown, _request: FastifyRequest, reply: FastifyReply) =>
      writeProblem(reply, asProblem(error)),
  });
  const app = await NestFactory.create<NestFastifyApplication>(AppModule.with(databaseUrl), adapter, {
    logger: logs ? ['error', 'warn'] : false,
    abortOnError: false,
  });
  await app.register(helmet, { strictTransportSecurity: false, contentSecurityPolicy: { directives: policy } });
  await app.register(compress, { threshold: 1024 });
  await app.register(multipart, { limits: { fileSize: limits.bytes, files: 1, fields: 20, fieldSize: 10_000 } });
  app.useGlobalPipes(bodyPipe);
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks();
  serveDocument(app);
  await serveStudio(app);
  await app.init();
  await app.getHttpAdapter().getInstance().ready();
  return app;
}

const policy = {
  defaultSrc: ["'self'"],
  // pictures of posts come from the sites they belong to
  imgSrc: ['*', 'data:'],
  styleSrc: ["'self'", "'unsafe-inline'"],
  // the engine's kernel is WebAssembly of our own; nothing else is let in with it
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  baseUri: ['*'],
  frameAncestors: ["'self'"],
  upgradeInsecureRequests: null,
};

function serveDocument(app: NestFastifyApplication): void {
  const config = new DocumentBuilder().setTitle('Ivy Lens').setVersion(version).setOpenAPIVersion('3.0.3').build();
  let document: unknown;
  app
    .getHttpAdapter()
    .getInstance()
    .get('/api/v1/openapi.json', (_request, reply) => {
      document ??= SwaggerModule.createDocument(app, config);
      void reply.send(document);
    });
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
      if (/^\/(api|embed|preview)\b/.test(request.url)) {
        writeProblem(reply, new Problem(404, 'not-found', 'There is nothing at this address.'));
      } else void reply.header('cache-control', 'no-cache').sendFile('index.html');
    });
}
