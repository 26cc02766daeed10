import { HoldsTo } from './holds-to.js';

const note = { type: 'object', properties: { n: { type: 'integer' } }, required: ['n'], additionalProperties: false };
const holds = new HoldsTo({
  paths: {
    '/notes/{id}': {
      get: {
        responses: {
          200: { content: { 'application/json': { schema: note } } },
          304: {},
        },
      },
    },
  },
});
const came = { method: 'GET', path: '/notes/7?a=b', status: 200, type: 'application/json; charset=utf-8' };

test('what is described passes', () => {
  holds.check({ ...came, body: { n: 1 } });
  holds.check({ ...came, status: 304, type: '', body: '' });
  holds.check({ ...came, path: '/elsewhere', body: { any: 'thing' } });
});

test.each([
  ['a value of another type', { body: { n: 'one' } }, /\/n must be integer/],
  ['a part that is not described', { body: { n: 1, more: 2 } }, /additional properties/],
  ['a part that is missing', { body: {} }, /required property 'n'/],
  ['a status that is not described', { status: 409, body: { n: 1 } }, /409 is not described/],
  ['another type of body', { type: 'text/html', body: '<p>' }, /text\/html, which is not described/],
  ['a body where none is described', { status: 304, body: { n: 1 } }, /none is described/],
])('%s does not', (_what, change, says) => {
  expect(() => holds.check({ ...came, ...change })).toThrow(says);
});
