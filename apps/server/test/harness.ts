import 'reflect-metadata';
import type { NestFastifyApplication } from '@nestjs/platform-fastify';
import { Client } from 'pg';
import { documentOf } from '../src/api/document.js';
import { createApp, type AppOptions } from '../src/app.js';
import { HoldsTo } from './holds-to.js';

/** A server on a port of its own, with a database of its own. All it answers is held to its OpenAPI document. */
export interface Harness {
  app: NestFastifyApplication;
  url: string;
  databaseUrl: string;
  ask(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Reply>;
  upload(
    file: string | Uint8Array<ArrayBuffer>,
    fileName: string,
    parts?: Record<string, string>,
    headers?: Record<string, string>,
  ): Promise<Reply>;
  stop(): Promise<void>;
}

export interface Reply {
  status: number;
  headers: Headers;
  body: any;
}

/**
 * @param by  how the server reaches the database, if not directly
 */
export async function startHarness(
  options: Omit<AppOptions, 'databaseUrl'> = {},
  by: (databaseUrl: string) => Promise<string> = (url) => Promise.resolve(url),
): Promise<Harness> {
  const admin = process.env.DATABASE_URL;
  if (!admin) throw new Error('DATABASE_URL is not set: run the tests by npm test, which starts PostgreSQL.');
  const name = `ivy_test_${process.pid}_${Date.now()}`;
  await onDatabase(admin, `CREATE DATABASE ${name}`);
  const databaseUrl = Object.assign(new URL(admin), { pathname: `/${name}` }).href;
  const app = await createApp({ databaseUrl: await by(databaseUrl), logs: false, ...options });
  await app.listen(0, '127.0.0.1');
  const url = await app.getUrl();
  const holds = new HoldsTo(documentOf(app) as unknown as ConstructorParameters<typeof HoldsTo>[0]);
  const send = async (path: string, init: RequestInit) => {
    const reply = await sendTo(`${url}${path}`, init);
    const { status, body, headers } = reply;
    const type = headers.get('content-type') ?? '';
    holds.check({ method: init.method ?? 'GET', path, status, type, body });
    return reply;
  };
  return {
    app,
    url,
    databaseUrl,
    ask: (method, path, body, headers = {}) =>
      send(path, {
        method,
        headers: { ...headers, ...(body !== undefined && { 'content-type': 'application/json' }) },
        ...(body !== undefined && { body: JSON.stringify(body) }),
      }),
    upload: (file, fileName, parts = {}, headers = {}) => {
      const form = new FormData();
      for (const [key, value] of Object.entries(parts)) form.append(key, value);
      form.append('file', new Blob([file]), fileName);
      return send('/api/v1/sources', { method: 'POST', body: form, headers });
    },
    stop: async () => {
      await app.close();
      await onDatabase(admin, `DROP DATABASE ${name} WITH (FORCE)`);
    },
  };
}

async function sendTo(url: string, init: RequestInit): Promise<Reply> {
  // where an answer sends its client is part of the answer
  const response = await fetch(url, { ...init, redirect: 'manual' });
  const text = await response.text();
  const isJson = (response.headers.get('content-type') ?? '').includes('json');
  return { status: response.status, headers: response.headers, body: isJson && text !== '' ? JSON.parse(text) : text };
}

export async function onDatabase(url: string, statement: string): Promise<unknown[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(statement)).rows as unknown[];
  } finally {
    await client.end();
  }
}

/** Twelve notes with every kind of value, as a CSV file. */
export const notes = [
  'id,title,habitat,place,kind,published,minutes,open,url',
  ...Array.from({ length: 12 }, (_, i) => {
    const habitat = ['Mudflat', 'Reedbed', 'Mudflat|Reedbed', 'Lagoon'][i % 4];
    const place = ['Coast > North', 'Coast > South', 'Inland'][i % 3];
    return `n${i},Note ${i},${habitat},${place},${['Survey', 'Sighting'][i % 2]},2026-01-${10 + i},${i % 5},${i % 2 ? 'yes' : 'no'},/notes/${i}`;
  }),
].join('\n');

/** A lens of checkboxes on those notes. */
export const lensConfig = {
  facets: [
    { key: 'habitat', kind: 'checkboxes', field: 'habitat', aliases: ['zone'] },
    { key: 'place', kind: 'checkboxes', field: 'place' },
    { key: 'kind', kind: 'checkboxes', field: 'kind' },
  ],
  sort: { options: [{ key: 'newest', label: 'Newest first', field: 'published', order: 'desc' }], default: 'newest' },
  paging: { size: 4 },
};
