import { mostOnPage, type PagingMode } from './mode.js';

/** All posts at once, as many as a page may hold; what is beyond is on further pages. */
export const all: PagingMode = { noun: 'all at once', stacks: false, hasSize: false, sizeOf: () => mostOnPage };
