import { letsIn } from './policy.js';

const page = 'https://example.org/news';
const ivy = 'https://ivy.example';

test.each([
  ['', true],
  ["img-src 'none'", true],
  ["default-src 'self'", false],
  ["script-src 'self' https://ivy.example", true],
  ["script-src 'self' ivy.example", true],
  ['script-src ivy.example:8443', false],
  ['script-src https:', true],
  ['script-src http:', false],
  ['script-src *.example', true],
  ['script-src *.ivy.example', false],
  ["script-src 'none'; script-src https:", false],
  ["script-src-elem https://ivy.example; script-src 'none'", true],
  ["default-src https://ivy.example; script-src 'self'", false],
  ['script-src http://ivy.example', true],
])('%j lets the script in: %s', (policy, expected) => {
  expect(letsIn([policy], 'script-src-elem', ivy, page)).toBe(expected);
});

test('every policy has to, and a page’s own is its own', () => {
  expect(letsIn(['script-src https:', "script-src 'self'"], 'script-src-elem', ivy, page)).toBe(false);
  expect(letsIn(["connect-src 'self'"], 'connect-src', 'https://example.org', page)).toBe(true);
  expect(letsIn(["style-src 'self'"], 'style-src-elem', "'unsafe-inline'", page)).toBe(false);
});
