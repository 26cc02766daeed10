import { fill } from '@ivy/core';
import { choose } from '../choices.js';
import { figure } from '../formats.js';
import { linkTo } from '../shown.js';
import type { KindView } from './kind.js';

export const favourites: KindView = {
  control: ({ shown, facet, chosen }) => {
    const { texts, language } = shown.settings;
    const marks = shown.marks ?? new Set<string>();
    const on = chosen.length > 0;
    return {
      form: 'marks',
      label: texts.onlyMarked,
      count: figure(language, marks.size),
      on,
      disabled: marks.size === 0 && !on,
      link: linkTo(shown, choose(shown.choices, facet.key, on ? [] : [...marks])),
    };
  },
  // what is marked is one choice, however many posts it is
  chosen: ({ shown, chosen }) => {
    const { texts, language } = shown.settings;
    const label = fill(texts.marked, { n: figure(language, chosen.length) });
    return chosen.length === 0 ? [] : [{ key: 'marked', label, bare: label, rest: [] }];
  },
};
