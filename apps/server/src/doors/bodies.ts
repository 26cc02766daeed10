import { isBroken, step } from '@ivy/core';
import type { FastifyInstance } from 'fastify';
import { writeProblem } from '../problem/problem.filter.js';
import { Problem } from '../problem/problem.js';

/** How deep the JSON of a request may nest. */
const maxDepth = 40;

/** Takes JSON alone, and of that only what every part behind can work with and the database can keep. */
export function takeJsonBodies(server: FastifyInstance): void {
  server.removeAllContentTypeParsers();
  server.addContentTypeParser('application/json', { parseAs: 'string' }, server.getDefaultJsonParser('error', 'error'));
  server.addHook('preValidation', (request, reply, done) => {
    const problem = request.isMultipart() ? null : bodyProblem(request.body);
    if (problem) writeProblem(reply, problem);
    else done();
  });
}

/** What is wrong with a body, told without calling oneself: it may nest as deep as its size lets it. */
export function bodyProblem(body: unknown): Problem | null {
  const rest: { value: unknown; pointer: string; depth: number }[] = [{ value: body, pointer: '', depth: 0 }];
  for (let at = rest.pop(); at; at = rest.pop()) {
    const { value, pointer, depth } = at;
    if (typeof value === 'string' && isBroken(value)) return brokenText(pointer);
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= maxDepth) {
      return new Problem(
        400,
        'too-deep',
        `The body nests deeper than ${maxDepth} levels. Flatten it and send it again.`,
      );
    }
    for (const [key, inner] of Object.entries(value)) {
      if (isBroken(key)) return brokenText(pointer);
      rest.push({ value: inner, pointer: step(pointer, key), depth: depth + 1 });
    }
  }
  return null;
}

/** A text holds what no database keeps. */
export function brokenText(pointer: string): Problem {
  return new Problem(
    400,
    'broken-text',
    'A text holds a null character or half of a letter. Take it out. See errors.',
    [{ pointer, message: 'holds a null character or half of a surrogate pair' }],
  );
}
