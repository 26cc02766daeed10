import { chosenRange, rangeView } from '../range.js';
import type { KindView } from './kind.js';

export const dateRange: KindView = {
  control: (at) => rangeView(at, 'days'),
  chosen: (at) => chosenRange(at, 'days'),
};
