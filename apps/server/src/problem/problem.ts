import { HttpException } from '@nestjs/common';

export interface FieldProblem {
  /** JSON pointer (RFC 6901) into the body. */
  pointer: string;
  message: string;
}

/** An error as RFC 9457 writes it: a stable code, and a sentence that says what to do. */
export class Problem extends HttpException {
  constructor(
    status: number,
    readonly code: string,
    readonly detail: string,
    readonly errors: readonly FieldProblem[] = [],
  ) {
    super(detail, status);
  }
}

export function notFound(what: string, slug: string): Problem {
  return new Problem(
    404,
    'not-found',
    `There is no ${what} called “${slug.slice(0, 80)}”. Check its name in the list.`,
  );
}
