import type { FieldDescription } from '../fields/describe.js';
import { isFavourites, isRange, isSearch, isTerms, type Facet, type Lens } from '../model/lens.js';

/** Something about a facet that can't work, or that visitors will stumble over, in a sentence that says what to do. */
export interface Warning {
  code: 'field-gone' | 'no-values' | 'one-term' | 'many-buttons' | 'all-hidden' | 'unreadable-dates' | 'same-name';
  /** True: it can't work at all. */
  broken: boolean;
  text: string;
}

/** Buttons from which a row of them is a wall. */
const manyButtons = 30;

/** What to look at in a facet, by its place in the lens. */
export function warningsOf(lens: Lens, facet: Facet, fields: readonly FieldDescription[]): Warning[] {
  return [...nameWarnings(lens, facet), ...fieldWarnings(facet, fields)];
}

function nameWarnings(lens: Lens, facet: Facet): Warning[] {
  const others = lens.facets.filter((one) => one !== facet).flatMap((one) => [one.key, ...one.aliases]);
  const taken = [...others, lens.address.sort, lens.address.page];
  const clash = [facet.key, ...facet.aliases].find((name) => taken.includes(name));
  if (clash === undefined) return [];
  const text = `Another part has the address name “${clash}” too. Give one of them another.`;
  return [{ code: 'same-name', broken: true, text }];
}

function fieldWarnings(facet: Facet, fields: readonly FieldDescription[]): Warning[] {
  if (isFavourites(facet)) return [];
  const keys = isSearch(facet) ? facet.fields : [facet.field];
  const gone = keys.find((key) => !fields.some((field) => field.key === key));
  if (gone !== undefined) {
    const text = `The source has no field “${gone}” any more. Read another field, or delete the facet.`;
    return [{ code: 'field-gone', broken: true, text }];
  }
  if (isSearch(facet)) return [];
  const field = fields.find((one) => one.key === facet.field)!;
  if (facet.kind === 'date-range' && field.type !== 'date' && field.type !== 'datetime') {
    const text = `“${field.label}” holds no days that can be read. Mend its type at the source, or read another field.`;
    return [{ code: 'unreadable-dates', broken: true, text }];
  }
  if (field.filled === 0) {
    return [
      { code: 'no-values', broken: false, text: 'No post has a value here, so visitors find nothing to choose.' },
    ];
  }
  return isRange(facet) ? [] : choiceWarnings(facet, field);
}

function choiceWarnings(facet: Exclude<Facet, { kind: 'search' | 'favourites' }>, field: FieldDescription): Warning[] {
  const left = isTerms(facet) && facet.only.length > 0 ? facet.only.length : field.distinct;
  const found: Warning[] = [];
  if (isTerms(facet) && facet.only.length > 0 && facet.only.every((slug) => facet.hide.includes(slug))) {
    found.push({
      code: 'all-hidden',
      broken: false,
      text: 'Every term is hidden, so visitors find nothing to choose.',
    });
  }
  if (left === 1) {
    found.push({
      code: 'one-term',
      broken: false,
      text: 'All posts have the same term: there is nothing to choose between.',
    });
  }
  if (facet.kind === 'buttons' && left > manyButtons) {
    const text = `${left} buttons are a wall. Show them as a dropdown or ticks, or only some of them.`;
    found.push({ code: 'many-buttons', broken: false, text });
  }
  return found;
}
