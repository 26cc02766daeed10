import { chosenRange, rangeView } from '../range.js';
import type { KindView } from './kind.js';

export const timeRange: KindView = {
  control: (at) => rangeView(at, 'times'),
  chosen: (at) => chosenRange(at, 'times'),
};
