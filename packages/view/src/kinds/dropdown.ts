import { fill } from '@ivy/core';
import { chosenOptions } from '../chip.js';
import type { Control } from '../controls.js';
import { listed, moreOf, optionsOf } from '../options.js';
import { selectView } from '../selects.js';
import { figure } from '../formats.js';
import { type FacetShown } from '../shown.js';
import type { KindView } from './kind.js';

export const dropdown: KindView = { control: dropdownView, chosen: chosenOptions };

/** One list of the browser's own where one is chosen; it can't hold terms that are yet to be found. */
function dropdownView(at: FacetShown): Control {
  const { texts, language } = at.shown.settings;
  const { label } = at.settings;
  if (at.settings.single && moreOf(at) === 0)
    return { form: 'selects', lists: [selectView(at, label, optionsOf(at), [], at.chosen[0])] };
  const list = listed(at);
  const picked = fill(texts.picked, { n: figure(language, list.chosen.length) });
  return { form: 'combobox', ...list, label, all: texts.all, picked, placeholder: texts.choose };
}
