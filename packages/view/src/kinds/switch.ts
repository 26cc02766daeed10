import { eachChosen, optionLabel } from '../chip.js';
import { choose } from '../choices.js';
import type { Control, WayView } from '../controls.js';
import { optionsOf, optionView } from '../options.js';
import { linkTo, type FacetShown } from '../shown.js';
import type { KindView } from './kind.js';

export const switchView: KindView = {
  control: (at) => (at.settings.both ? { form: 'ways', ways: waysOf(at) } : flipView(at)),
  chosen: (at) => {
    const { texts, language } = at.shown.settings;
    const words = (value: string) => wordFor(at, optionLabel(at, value));
    // a bare “Yes” would tell nobody what it is a yes to
    const label = (bare: string) =>
      bare === texts.yes || bare === texts.no ? `${at.settings.label}: ${bare.toLocaleLowerCase(language)}` : bare;
    return eachChosen(at, words, label);
  },
};

function flipView(at: FacetShown): Control {
  const { shown, facet } = at;
  const on = at.chosen[0] === 'yes';
  const yes = optionsOf(at).find((option) => option.value === 'yes');
  return {
    form: 'switch',
    label: wordFor(at, yes?.label ?? 'Yes'),
    on,
    count: yes ? optionView(at, yes).count : null,
    link: linkTo(shown, choose(shown.choices, facet.key, on ? [] : ['yes'])),
    disabled: false,
    ways: waysOf(at),
  };
}

function waysOf(at: FacetShown): WayView[] {
  const { shown, facet, settings } = at;
  const link = (values: readonly string[]) => linkTo(shown, choose(shown.choices, facet.key, values));
  // where it starts as one of the two, that it is neither must be said
  const open = settings.start !== undefined && settings.start !== 'either' ? 'either' : '';
  return [
    { value: open, label: shown.settings.texts.either, count: null, chosen: at.chosen.length === 0, link: link([]) },
    ...optionsOf(at).map((option) => {
      const { value, count, chosen } = optionView(at, option);
      return { value, label: wordFor(at, option.label), count, chosen, link: link([value]) };
    }),
  ];
}

/** Own words of the lens; without any, those of its language. */
function wordFor({ shown: { settings } }: FacetShown, label: string): string {
  if (label === 'Yes') return settings.texts.yes;
  return label === 'No' ? settings.texts.no : label;
}
