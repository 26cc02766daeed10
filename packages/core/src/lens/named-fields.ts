import type { Lens } from './lens.js';

/** A field as a lens names it. */
export interface NamedField {
  key: string;
  /** Where in its config. */
  pointer: string;
  /** Whether it must be one of terms there. */
  ofTerms: boolean;
}

/** Settings that name a field: of a facet, and of a part of a card, where they may be empty. */
const facetSettings = new Set(['field', 'endField']);
const partSettings = new Set(['field', 'orElse', 'alt', 'from']);

/** Every field that a lens names; one named twice is there twice. */
export function namedFields({ scope, follows, facets, sort, nothing, card }: Lens): NamedField[] {
  const found: NamedField[] = [];
  const add = (key: string, pointer: string, ofTerms = false) => void found.push({ key, pointer, ofTerms });
  scope.where.forEach(({ field }, i) => add(field, `/scope/where/${i}/field`));
  follows.forEach(({ field }, i) => add(field, `/follows/${i}/field`, true));
  nothing.where.forEach(({ field }, i) => add(field, `/nothing/where/${i}/field`, true));
  facets.forEach((facet, i) => {
    // where in the config a field is named is where it stands
    for (const [setting, value] of Object.entries(facet)) {
      const at = `/facets/${i}/${setting}`;
      if (facetSettings.has(setting)) add(value as string, at);
      if (setting === 'fields') (value as string[]).forEach((key, n) => add(key, `${at}/${n}`));
    }
  });
  sort.options.forEach(({ by, field, then }, i) => {
    const at = `/sort/options/${i}/`;
    if (by === 'field') add(field, `${at}field`);
    then.forEach((one, n) => add(one.field, `${at}then/${n}/field`));
  });
  card.parts.forEach((part, i) => {
    const at = `/card/parts/${i}/`;
    if (part.show === 'picture') part.sizes.forEach(({ field }, n) => add(field, `${at}sizes/${n}/field`));
    for (const [setting, value] of Object.entries(part)) {
      if (partSettings.has(setting) && value !== '') add(value as string, at + setting);
    }
  });
  return found;
}
