import { readFileSync } from 'node:fs';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { lensSchema } from '@ivy/core';
import { problemContent } from './describe.js';
import { fromRoot } from '../shared/paths.js';
import { version } from '../version.js';

/** The schemas of all answers, as `npm run api` makes them from the types in shapes.ts. */
const schemas = JSON.parse(readFileSync(fromRoot('apps', 'server', 'schemas.json'), 'utf8')) as Record<string, object>;

type Schema = Record<string, unknown>;
type Operation = {
  parameters?: { in: string }[];
  requestBody?: unknown;
  responses: Record<string, unknown>;
};

/** Problems that any route may answer with, and those of routes that take something. */
const ofAll = { 403: 'shut, foreign-host, foreign-origin', 500: 'internal', 503: 'database-down' };
const ofNamed = { 400: 'bad-request', 404: 'not-found' };
const ofBodies = {
  400: 'bad-body, broken-text, too-deep',
  408: 'too-slow',
  413: 'too-large',
  415: 'unsupported-media-type',
  507: 'disk-full',
};

/** The OpenAPI document of all routes under `/api`: paths from the controllers, schemas from the types they answer with. */
export function documentOf(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder().setTitle('Ivy Lens').setVersion(version).setOpenAPIVersion('3.1.0').build();
  const document = SwaggerModule.createDocument(app, config, {
    operationIdFactory: (controller, method) => `${controller.replace(/Controller$/, '').toLowerCase()}-${method}`,
  });
  for (const path of Object.values(document.paths)) {
    for (const operation of Object.values(path) as unknown as Operation[]) addProblems(operation);
  }
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, ...schemas, LensConfig: lensSchema() },
  };
  return withNull(document) as typeof document;
}

function addProblems({ parameters = [], requestBody, responses }: Operation): void {
  const likely = [
    ofAll,
    ...(parameters.some((one) => one.in === 'path') ? [ofNamed] : []),
    ...(requestBody !== undefined ? [ofBodies] : []),
  ];
  for (const [status, codes] of likely.flatMap((some) => Object.entries(some))) {
    const own = responses[status] as { description: string } | undefined;
    const description = codes.split(', ').map((code) => `\`${code}\``);
    responses[status] = {
      description: [...(own ? [own.description] : []), ...description].join(', '),
      content: problemContent,
    };
  }
}

/** Writes “may be null” as JSON Schema does and OpenAPI 3.1 with it; the decorators of bodies still write it as 3.0 did. */
function withNull(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withNull);
  if (typeof value !== 'object' || value === null) return value;
  const { nullable, ...rest } = value as Schema;
  const read = Object.fromEntries(Object.entries(rest).map(([key, inner]) => [key, withNull(inner)]));
  return nullable === true && typeof rest.type === 'string' ? { ...read, type: [rest.type, 'null'] } : read;
}
