import type { Belongs } from '../src/listing/transport.js';

/** An element that says no more than the name of its lens. */
export const belongsTo = (name: string): Belongs => ({
  name,
  origin: 'http://ivy.test',
  prefix: null,
  scope: '',
  language: '',
});
