import { calendars } from './given/calendars.js';
import type { GivenCase } from './given/case.js';
import { feeds } from './given/feeds.js';
import { jsons } from './given/jsons.js';
import { pages } from './given/pages.js';
import { shapes } from './given/shapes.js';
import { tables } from './given/tables.js';

/** Each an awkward file of one of the formats that are read. */
export const givenFiles: Record<string, GivenCase> = {
  ...tables,
  ...jsons,
  ...shapes,
  ...feeds,
  ...calendars,
  ...pages,
};
