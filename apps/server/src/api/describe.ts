import { applyDecorators } from '@nestjs/common';
import { ApiQuery, ApiResponse } from '@nestjs/swagger';

/*
 * What a route says of itself for the OpenAPI document. Names of answers are those of the types in `shapes.ts`.
 */

/** The body of a good answer. `of: 'list'` is many of them. */
export function Answers(
  name: string,
  { status = 200, of = 'one', says = '' }: { status?: number; of?: 'one' | 'list'; says?: string } = {},
): MethodDecorator {
  const one = { $ref: `#/components/schemas/${name}` };
  const schema = of === 'list' ? { type: 'array', items: one } : one;
  return ApiResponse({ status, description: says, content: { 'application/json': { schema } } });
}

/** An answer without a body. */
export function AnswersNothing(status = 204, says = ''): MethodDecorator {
  return ApiResponse({ status, description: says });
}

/** An answer that is no JSON. */
export function AnswersAs(type: string, says: string): MethodDecorator {
  return ApiResponse({ status: 200, description: says, content: { [type]: { schema: { type: 'string' } } } });
}

/** Codes of the problems a route answers with, by status, beside those that any route may. */
export function Refuses(problems: Record<number, readonly string[]>): MethodDecorator {
  return applyDecorators(...Object.entries(problems).map(([status, codes]) => refusal(Number(status), codes)));
}

function refusal(status: number, codes: readonly string[]): MethodDecorator {
  return ApiResponse({ status, description: codes.map((code) => `\`${code}\``).join(', '), content: problemContent });
}

/** How every refusal is written. */
export const problemContent = {
  'application/problem+json': { schema: { $ref: '#/components/schemas/ProblemBody' } },
};

/** A route that takes the query string of a page as it stands, whatever names the lens gives its facets. */
export function TakesPageQuery(): MethodDecorator {
  return applyDecorators(
    ApiQuery({
      name: 'query',
      required: false,
      style: 'form',
      explode: true,
      description: 'The query string of the page, exactly as it stands there.',
      schema: { type: 'object', additionalProperties: { type: 'string' } },
    }),
    ApiQuery({ name: '~prefix', required: false, description: 'What names in the address begin with on this page.' }),
    ApiQuery({
      name: '~scope',
      required: false,
      description: 'Terms all posts on this page must have: `field:term`, several with commas.',
    }),
    ApiQuery({
      name: '~driven',
      required: false,
      description: 'What is chosen in lenses this one follows: `field:term,term`, several with semicolons.',
    }),
    ApiQuery({
      name: '~lang',
      required: false,
      description: 'What visitors of this page read: tags of languages, best first. Without one, the lens’s own.',
    }),
    ApiQuery({
      name: '~from',
      required: false,
      description: 'Where pages stand below one another: the first one wanted by a page script, 1 if not said.',
    }),
    Refuses({ 400: ['bad-page', 'too-long'], 414: ['address-too-long'] }),
  );
}

/** An answer that a client may have already: it carries an ETag. */
export function IsTagged(): MethodDecorator {
  return AnswersNothing(304, 'The client has this very state, by its `If-None-Match`.');
}
