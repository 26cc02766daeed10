import type { PagingMode } from './mode.js';

/** The next posts come as one nears the end, until they pause so that what stands below can be reached. */
export const endless: PagingMode = {
  noun: 'without end',
  stacks: true,
  hasSize: true,
  sizeOf: ({ size }, asked) => asked ?? size,
};
