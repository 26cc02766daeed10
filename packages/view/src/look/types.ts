import { typeLevels, type Type, type TypeLevel, type Types } from '@ivy/core';
import type { Rule } from './rule.js';

/** Where the texts of a level are, and how large they are beside others, in em. */
const places: Record<TypeLevel, { selectors: string[]; em: number }> = {
  all: { selectors: [''], em: 1 },
  facet: { selectors: ['.ivy-facet-title'], em: 1 },
  term: { selectors: ['.ivy-option', '.ivy-button', '.ivy-link', '.ivy-select', '.ivy-way-of'], em: 1 },
  child: { selectors: ["[style*='--ivy-depth:1']"], em: 1 },
  deeper: { selectors: ["[style*='--ivy-depth:']:not([style*='depth:0'], [style*='depth:1'])"], em: 1 },
  count: { selectors: ['.ivy-count'], em: 1 },
  title: { selectors: ['.ivy-title'], em: 1.17 },
  text: { selectors: ['.ivy-summary'], em: 0.95 },
  facts: { selectors: ['.ivy-facts'], em: 0.9 },
  chip: { selectors: ['.ivy-chip'], em: 1 },
  total: { selectors: ['.ivy-count-line strong'], em: 1.35 },
};

const cases = { none: 'none', upper: 'uppercase', lower: 'lowercase', title: 'capitalize', 'small-caps': 'none' };

/** How texts are set, the general before the particular. */
export function typeRules(types: Types): Rule[] {
  return typeLevels.flatMap((level) => {
    const type = types[level];
    return type ? [[places[level].selectors, declared(type, places[level].em)] as const] : [];
  });
}

function declared(type: Type, em: number): Record<string, string> {
  const { family, size, weight, line, spacing, colour } = type;
  return {
    ...(family !== undefined && { 'font-family': family }),
    ...(size !== undefined && { 'font-size': `${trim((em * size) / 100)}em` }),
    ...(weight !== undefined && { 'font-weight': String(weight) }),
    ...(line !== undefined && { 'line-height': trim(line / 100) }),
    ...(spacing !== undefined && { 'letter-spacing': `${trim(spacing / 1000)}em` }),
    ...(type.case !== undefined && { 'text-transform': cases[type.case] }),
    ...(type.case === 'small-caps' && { 'font-variant-caps': 'all-small-caps' }),
    ...(colour !== undefined && { color: colour }),
  };
}

/** A number without zeros at its end. */
function trim(number: number): string {
  return String(Math.round(number * 1000) / 1000);
}
