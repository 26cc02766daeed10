import type { PagingMode } from './mode.js';

/** Numbered pages, one at a time. */
export const pages: PagingMode = {
  noun: 'numbered pages',
  stacks: false,
  hasSize: true,
  sizeOf: ({ size }, asked) => asked ?? size,
};
