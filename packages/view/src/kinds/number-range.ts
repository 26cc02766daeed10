import { chosenRange, rangeView } from '../range.js';
import type { KindView } from './kind.js';

export const numberRange: KindView = {
  control: (at) => rangeView(at, 'numbers'),
  chosen: (at) => chosenRange(at, 'numbers'),
};
