import { ValidateBy } from 'class-validator';

/** Whether a text is a web origin and nothing more: scheme, name and port, with neither a user nor a path. */
export function isOrigin(text: unknown): boolean {
  if (typeof text !== 'string' || text.length > 200 || !/^https?:\/\//i.test(text) || !URL.canParse(text)) return false;
  const url = new URL(text);
  // a parser lets marks into a name that mean something in the policies and pages it is written into
  const isName = /^([\p{L}\p{N}.-]+|\[[0-9a-f:.]+\])$/u.test(url.hostname);
  return isName && url.username === '' && url.password === '' && text.toLowerCase() === url.origin;
}

/** In a body: a web origin. */
export function IsOrigin(): PropertyDecorator {
  return ValidateBy({
    name: 'isOrigin',
    validator: { validate: isOrigin, defaultMessage: () => 'must be an origin such as https://example.org' },
  });
}
