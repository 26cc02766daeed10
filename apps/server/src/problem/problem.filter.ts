import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { STATUS_CODES } from 'node:http';
import type { FastifyReply } from 'fastify';
import { refusalOfDatabase } from '../database/outage.js';
import { Problem, type FieldProblem } from './problem.js';

/** Writes every error as `application/problem+json`. What nobody foresaw is logged and reported without its insides. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  readonly #log = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const reply = host.switchToHttp().getResponse<FastifyReply>();
    const problem = asProblem(error);
    if (problem.getStatus() >= 500) this.#log.error(error instanceof Error ? error.stack : error);
    writeProblem(reply, problem);
  }
}

export function writeProblem(reply: FastifyReply, problem: Problem): void {
  const status = problem.getStatus();
  if (status === 503) void reply.header('retry-after', '5');
  void reply
    .status(status)
    .header('content-type', 'application/problem+json; charset=utf-8')
    .header('cache-control', 'no-store')
    .send(problemBody(problem));
}

/** A problem as RFC 9457 writes it. */
export interface ProblemBody {
  type: string;
  status: number;
  title: string;
  code: string;
  detail: string;
  errors?: readonly FieldProblem[];
}

export function problemBody(problem: Problem): ProblemBody {
  const status = problem.getStatus();
  return {
    type: 'about:blank',
    status,
    title: STATUS_CODES[status] ?? 'Error',
    code: problem.code,
    detail: problem.detail,
    ...(problem.errors.length > 0 && { errors: problem.errors }),
  };
}

export function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof HttpException) {
    const status = error.getStatus();
    if (status === 404) return new Problem(404, 'not-found', 'There is nothing at this address.');
    return new Problem(status, codeOf(status), error.message);
  }
  const refusal = refusalOfDatabase(error);
  if (refusal) return new Problem(refusal.status, refusal.code, refusal.detail);
  const { statusCode, code, message } = error as { statusCode?: number; code?: string; message?: string };
  const parts = code && partProblems[code];
  if (parts) return new Problem(400, 'too-many-parts', parts);
  if (message !== undefined && /Unexpected end of form|Malformed part header|multipart/i.test(message)) {
    return new Problem(400, 'broken-upload', 'What was sent broke off or is no multipart body. Send it again.');
  }
  if (code === 'FST_REQ_FILE_TOO_LARGE' || statusCode === 413) {
    return new Problem(413, 'too-large', 'What was sent is larger than this server takes. Send it as smaller parts.');
  }
  if (typeof statusCode === 'number' && statusCode >= 400 && statusCode < 500) {
    return new Problem(statusCode, codeOf(statusCode), message ?? 'The request could not be read.');
  }
  return new Problem(
    500,
    'internal',
    'Something went wrong here, and it was written to the log. Try again in a moment.',
  );
}

/** What is said of a multipart body that holds more than it may. */
const partProblems: Readonly<Record<string, string>> = {
  FST_FILES_LIMIT: 'The body has more than one file. Send one in a part called “file”.',
  FST_FIELDS_LIMIT: 'The body has more text parts than there are settings. Send only those that are known.',
  FST_PARTS_LIMIT: 'The body has more parts than a file and its settings. Send only those that are known.',
};

function codeOf(status: number): string {
  return (STATUS_CODES[status] ?? 'error').toLowerCase().replace(/[^a-z]+/g, '-');
}
