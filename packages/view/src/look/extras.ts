import type { CardPart, FacetKind, PartName } from '@ivy/core';
import { badges } from '../styles/badges.js';
import { button } from '../styles/button.js';
import { letters } from '../styles/letters.js';
import { missing } from '../styles/missing.js';
import { ribbon } from '../styles/ribbon.js';
import { steps } from '../styles/steps.js';
import { terms } from '../styles/terms.js';

/** What a listing draws, as far as rules go by it. */
export interface Drawn {
  card: readonly CardPart[];
  facets: readonly { kind: FacetKind }[];
}

/** Rules that only some listings need, by what needs them: those that have it get them, and no page carries the others. */
const ofKinds: Partial<Record<FacetKind, string>> = { letters, steps, favourites: ribbon };
const ofParts: Partial<Record<PartName, string>> = { picture: missing, mark: ribbon, terms, button, 'yes-no': badges };

/** The rules of all that a listing draws and few others do. */
export function extraRules({ card, facets }: Drawn): string {
  const needed = [...facets.map(({ kind }) => ofKinds[kind]), ...card.map(({ show }) => ofParts[show])];
  return [...new Set(needed)].filter((one) => one !== undefined).join('');
}
