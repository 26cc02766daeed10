import { eachChosen } from '../chip.js';
import type { KindView } from './kind.js';

export const search: KindView = {
  control: ({ shown, settings, chosen }) => ({
    form: 'text',
    label: settings.label,
    text: chosen[0] ?? '',
    clear: shown.settings.texts.clearSearch,
  }),
  chosen: (at) => eachChosen(at, (value) => `“${value}”`),
};
