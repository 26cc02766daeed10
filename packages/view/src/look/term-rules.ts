import { safeAddress } from '@ivy/core';
import type { Drawn } from './extras.js';
import type { Rule } from './rule.js';

const mark: Rule[1] = {
  content: "''",
  display: 'inline-block',
  width: '1.15em',
  height: '1.15em',
  'margin-inline-end': '0.5em',
  'vertical-align': '-0.22em',
  'border-radius': '3px',
  'background-size': 'cover',
  'background-position': 'center',
  'box-shadow': 'inset 0 0 0 1px color-mix(in srgb, currentcolor 28%, transparent)',
  'forced-color-adjust': 'none',
};
const picture: Rule[1] = { width: '3.2em', height: '2.2em', 'vertical-align': 'middle' };

/** The colours and pictures of terms, beside their names: on ticks, and on buttons. */
export function termRules({ looks = [], resolve = (address) => address }: Drawn): Rule[] {
  if (looks.length === 0) return [];
  const rules = looks.flatMap((look): Rule[] => {
    const at = marksOf(look.facet, look.term);
    if (look.picture === undefined) return [[at, { 'background-color': look.colour! }]];
    const image = imageOf(look.picture, resolve);
    return image === null ? [] : [[at, { ...picture, 'background-image': image }]];
  });
  return [[looks.flatMap(({ facet, term }) => marksOf(facet, term)), mark], ...rules];
}

/** Names of facets and slugs of terms are letters, digits, hyphens and the like: nothing that ends a string. */
function marksOf(facet: string, term: string): string[] {
  const here = `[data-facet='${facet}']`;
  return [
    `${here} .ivy-tick:has(input[value='${term}']) .ivy-label::before`,
    `${here} .ivy-button[value='${term}']::before`,
  ];
}

/** An address as an image of CSS; null where it is none that may be asked for. */
function imageOf(address: string, resolve: (address: string) => string | null): string | null {
  const safe = safeAddress(address);
  const whole = safe === null ? null : resolve(safe);
  return whole === null ? null : `url("${whole.replace(/["\\\s()<>]/g, encodeURIComponent)}")`;
}
