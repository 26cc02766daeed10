import type { Shown } from '../shown.js';
import { more } from './more.js';
import type { MoreView } from './pager.js';

/** As by a press, which is done for visitors as they near the end. */
export function endless(shown: Shown): MoreView | null {
  return more(shown, true);
}
