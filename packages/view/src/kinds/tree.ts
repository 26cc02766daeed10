import { chosenOptions } from '../chip.js';
import { ticksView } from '../ticks.js';
import type { KindView } from './kind.js';

export const tree: KindView = { control: (at) => ticksView(at, true), chosen: chosenOptions };
