/** What the server said when it would not: a sentence for people, and where in the body it is about. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly errors: readonly { pointer: string; message: string }[] = [],
  ) {
    super(message);
    this.name = 'ApiProblem';
  }
}

/** The server could not be reached at all. */
export class Unreachable extends Error {
  constructor() {
    super('The server does not answer. Check that it runs; your work is kept here until it does.');
    this.name = 'Unreachable';
  }
}
