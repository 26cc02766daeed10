import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Field } from '../model/post.js';
import { wordsOf, type Texts } from '../model/texts.js';
import { wordSet } from '../model/word-sets.js';
import { fill } from '../text/fill.js';
import { humanise } from '../text/slug.js';
import type { Lens, SortOption } from './lens.js';

/** What of a lens says how it speaks. */
type Spoken = Pick<Lens, 'language' | 'texts'>;

/** All words of a lens: its own over those of its language. */
export function textsOf({ texts, language }: Spoken): Texts {
  return wordsOf(texts, wordSet(language));
}

/**
 * What a facet is called: its own label, or its field's, or else what its key says.
 * @param lens  says in what words: a search without a label is called so in them
 */
export function facetLabel(facet: Facet, fields: readonly Field[], lens: Spoken): string {
  if (facet.label !== '') return facet.label;
  const { finding, labelField } = kindOf(facet);
  const named = labelField(facet);
  const standIn = finding && facet.key === 'q' ? textsOf(lens).search : humanise(facet.key);
  return fields.find((field) => field.key === named)?.label ?? standIn;
}

/** What an order is called: its own label, or what it does, in the words visitors read. */
export function sortLabel(
  { label, by, field, order, key }: SortOption,
  fields: readonly Field[],
  lens: Spoken,
): string {
  if (label !== '') return label;
  const words = textsOf(lens);
  if (by === 'relevance') return words.relevance;
  const found = fields.find((one) => one.key === field);
  if (!found) return humanise(key);
  const isDay = found.type === 'date' || found.type === 'datetime';
  if (isDay) return order === 'desc' ? words.newest : words.oldest;
  return order === 'asc' && found.type !== 'number' ? fill(words.byName, { field: found.label }) : found.label;
}
