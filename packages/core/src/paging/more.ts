import type { PagingMode } from './mode.js';

/** A button puts the next posts below those that are there. */
export const more: PagingMode = {
  noun: 'a press for more',
  stacks: true,
  hasSize: true,
  sizeOf: ({ size }, asked) => asked ?? size,
};
