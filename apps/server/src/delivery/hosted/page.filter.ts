import { Catch, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { asProblem } from '../../problem/problem.filter.js';
import type { Problem } from '../../problem/problem.js';
import { html } from './markup.js';
import { pageStyle } from './plain-page.js';

/** Whoever asked for a page and can't have it is told so on a page. */
@Catch()
export class PageFilter implements ExceptionFilter {
  readonly #log = new Logger('Page');

  catch(error: unknown, host: ArgumentsHost): void {
    const problem = asProblem(error);
    const status = problem.getStatus();
    if (status >= 500) this.#log.error(error instanceof Error ? error.stack : error);
    void host
      .switchToHttp()
      .getResponse<FastifyReply>()
      .status(status)
      .header('content-type', 'text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .send(problemPage(problem));
  }
}

function problemPage(problem: Problem): string {
  const [title, text] = wordsFor(problem);
  return html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="robots" content="noindex" />
        <title>${title}</title>
        <link rel="icon" href="data:," />
        ${pageStyle}
      </head>
      <body>
        <main>
          <h1>${title}</h1>
          <p>${text}</p>
        </main>
      </body>
    </html> `.text;
}

function wordsFor(problem: Problem): [title: string, text: string] {
  switch (problem.getStatus()) {
    case 404:
      return [
        'There is no listing here',
        'It may have been renamed or taken away, or not be released yet. Check the address, or ask whoever gave it to you.',
      ];
    case 414:
      return ['This address is too long', 'Go back, and choose a little less at once.'];
    default:
      return ['The listing can’t be shown', problem.detail];
  }
}
