import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { Problem, type FieldProblem } from './problem.js';

/** Checks every body by its class. Unknown fields are refused; each bad field is named by a JSON pointer. */
export const bodyPipe = new (class BodyPipe extends ValidationPipe {
  override async transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    // what a list may hold, whoever asks for one says
    if (metadata.type === 'body' && metadata.metatype === Array) {
      if (Array.isArray(value)) return value;
      throw new Problem(400, 'bad-body', 'Send a JSON array, with the content type application/json.');
    }
    if (metadata.type === 'body' && (typeof value !== 'object' || value === null || Array.isArray(value))) {
      throw new Problem(400, 'bad-body', 'Send a JSON object, with the content type application/json.');
    }
    return super.transform(value, metadata);
  }
})({
  whitelist: true,
  forbidNonWhitelisted: true,
  transform: true,
  exceptionFactory: (errors) =>
    new Problem(
      400,
      'bad-body',
      'Some fields of the body are not right. See errors.',
      errors.flatMap((e) => flatten(e, '')),
    ),
});

function flatten(error: ValidationError, above: string): FieldProblem[] {
  const pointer = `${above}/${error.property.replace(/~/g, '~0').replace(/\//g, '~1')}`;
  const own = Object.entries(error.constraints ?? {}).map(([rule, text]) => ({
    pointer,
    message: rule === 'whitelistValidation' ? 'is not known here' : text,
  }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, pointer))];
}
