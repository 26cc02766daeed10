/** Why a file could not be read, in a sentence that says what to do. */
export class FileProblem extends Error {
  constructor(
    readonly code: 'empty-file' | 'unknown-format' | 'broken-file' | 'no-posts' | 'too-large' | 'too-many',
    message: string,
  ) {
    super(message);
    this.name = 'FileProblem';
  }
}
