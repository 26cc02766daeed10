import { eachChosen, optionLabel } from '../chip.js';
import { pressesView } from '../presses.js';
import type { KindView } from './kind.js';

export const letters: KindView = {
  control: (at) => pressesView(at, 'letters'),
  // a letter alone would tell nobody what begins with it
  chosen: (at) =>
    eachChosen(
      at,
      (value) => optionLabel(at, value),
      (letter) => `${at.settings.label}: ${letter}`,
    ),
};
