import { chosenOptions } from '../chip.js';
import { ticksView } from '../ticks.js';
import type { KindView } from './kind.js';

export const checkboxes: KindView = { control: (at) => ticksView(at), chosen: chosenOptions };
