import { fill, type FacetKind } from '@ivy/core';
import { choose } from './choices.js';
import type { Control } from './controls.js';
import { kindViews } from './kinds/kinds.js';
import { linkTo, type FacetShown, type Link, type Shown } from './shown.js';

/** A facet as a page has it. */
export interface FacetView {
  key: string;
  kind: FacetKind;
  label: string;
  /** What its parameter is called in an address, prefix included. */
  name: string;
  /** Its values as an address has them, for what is sent along unseen. */
  sent: string[];
  /** False: neither seen nor to be cleared, though its address counts. */
  visible: boolean;
  /** Whether it is not there until something is chosen in another. */
  waits: boolean;
  /** Whether it starts folded up. */
  folded: boolean;
  /** Takes its choice back; null where nothing is chosen. */
  clear: { label: string; link: Link } | null;
  control: Control;
}

/** A facet of an answer with its settings and what is chosen in it; undefined for one that is not there. */
export function facetShown(shown: Shown, key: string): FacetShown | undefined {
  const facet = shown.answer.facets.find((one) => one.key === key);
  const settings = shown.settings.facets.find((one) => one.key === key);
  return facet && settings && { shown, facet, settings, chosen: shown.choices.facets[key] ?? [] };
}

export function facetView(shown: Shown, key: string): FacetView | undefined {
  const at = facetShown(shown, key);
  if (!at) return undefined;
  const { settings, chosen } = at;
  const { address, texts } = shown.settings;
  const chosenIn = (other: string) => (shown.choices.facets[other]?.length ?? 0) > 0;
  const starts = settings.start !== undefined && settings.start !== 'either';
  return {
    key,
    kind: settings.kind,
    label: settings.label,
    name: address.prefix + key,
    sent: chosen.length === 0 && starts ? ['either'] : [...chosen],
    visible: settings.visible,
    // what is chosen in itself is never out of sight
    waits: settings.dependsOn !== '' && !chosenIn(settings.dependsOn) && chosen.length === 0,
    folded: settings.folded,
    clear:
      chosen.length === 0
        ? null
        : {
            label: fill(texts.clearFacet, { facet: settings.label }),
            link: linkTo(shown, choose(shown.choices, key, [])),
          },
    control: kindViews[settings.kind].control(at),
  };
}

/** All facets in the lens's order, those too that are not seen. */
export function facetViews(shown: Shown): FacetView[] {
  return shown.settings.facets.flatMap(({ key }) => facetView(shown, key) ?? []);
}
