import type { Answer, FacetAnswer, FacetSettings, FoundTerms, Placed, Settings } from '@ivy/core';
import type { Choices } from './choices.js';

/** All that a page is drawn from: what changes only with a release, what was answered, and what is chosen. */
export interface Shown {
  settings: Settings;
  answer: Answer;
  /** How the listing lies at the width it is shown at. */
  placed: Placed;
  /** What is chosen, which may be ahead of the answer. */
  choices: Choices;
  /** Milliseconds: the moment that tells which day is today in the lens's zone. */
  now: number;
  /** The link to other choices. */
  hrefOf: (choices: Choices) => string;
  /** A link or picture of a post as it is from this page; null for one that no page should follow. */
  resolve: (link: string) => string | null;
  /** Ids of the posts a visitor marked; null where marks can't be kept, as without scripts. */
  marks: ReadonlySet<string> | null;
  /** What is looked for in long lists of terms, by facet; and what was found beyond what the answer holds. */
  finds: ReadonlyMap<string, { text: string; found: FoundTerms | null }>;
}

/** A facet of a page that is drawn. */
export interface FacetShown {
  shown: Shown;
  facet: FacetAnswer;
  settings: FacetSettings;
  /** Its values as addresses have them. */
  chosen: readonly string[];
}

/** Where a press leads. */
export interface Link {
  choices: Choices;
  href: string;
}

export function linkTo(shown: Shown, choices: Choices): Link {
  return { choices, href: shown.hrefOf(choices) };
}
