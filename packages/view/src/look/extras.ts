import type { CardPart, FacetKind, PartName, TermLook } from '@ivy/core';
import { badges } from '../styles/badges.js';
import { button } from '../styles/button.js';
import { letters } from '../styles/letters.js';
import { missing } from '../styles/missing.js';
import { ranges } from '../styles/ranges.js';
import { ribbon } from '../styles/ribbon.js';
import { search } from '../styles/search.js';
import { steps } from '../styles/steps.js';
import { switches } from '../styles/switch.js';
import { terms } from '../styles/terms.js';

/** What a listing draws, as far as rules go by it. */
export interface Drawn {
  card: readonly CardPart[];
  facets: readonly { kind: FacetKind }[];
  /** Terms that are shown with a colour or a picture. */
  looks?: readonly TermLook[];
  /** Where a picture is whose address has no origin; null for what is no address. */
  resolve?: (address: string) => string | null;
}

/** Rules that only some listings need, by what needs them: those that have it get them, and no page carries the others. */
const ofKinds: Partial<Record<FacetKind, string>> = {
  letters,
  steps,
  'date-range': ranges,
  'time-range': ranges,
  'number-range': ranges,
  favourites: ribbon,
  switch: switches,
  search,
};
const ofParts: Partial<Record<PartName, string>> = { picture: missing, mark: ribbon, terms, button, 'yes-no': badges };

/** The rules of all that a listing draws and few others do. */
export function extraRules({ card, facets }: Drawn): string {
  const needed = [...facets.map(({ kind }) => ofKinds[kind]), ...card.map(({ show }) => ofParts[show])];
  return [...new Set(needed)].filter((one) => one !== undefined).join('');
}
