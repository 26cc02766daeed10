import { pages } from './pages.js';

/** All at once; where that is more than a page may hold, the rest is on numbered pages. */
export const all = pages;
