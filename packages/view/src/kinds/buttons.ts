import { chosenOptions } from '../chip.js';
import { pressesView } from '../presses.js';
import type { KindView } from './kind.js';

export const buttons: KindView = {
  control: (at) => pressesView(at, at.settings.as ?? 'pills', at.settings.row),
  chosen: chosenOptions,
};
