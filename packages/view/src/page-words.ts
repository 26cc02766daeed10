import { chipsView } from './chips.js';
import { countView } from './listing.js';
import type { Shown } from './shown.js';
import { titleOf, type PageWords } from './title.js';

/** Title and description of a page from its choices: “Field notes: Mudflat, March 2026”. */
export function pageWords(shown: Shown): PageWords {
  return titleOf(shown, chipsView(shown), countView(shown));
}
