import type { Selection } from '../../model/selection.js';
import { encodePart } from '../../text/parameters.js';
import { byCodeUnits } from '../../text/slug.js';
import type { Reading } from '../kind.js';
import { fewValues, maxValues, singleChoice } from '../notices.js';

/** What a facet's terms are looked up in. */
export interface Vocabulary {
  /** The term's present slug when `slug` is one, or was one before; null when there never was one. */
  readonly termOf: (slug: string) => string | null;
  /** Slugs of the terms above a term, nearest first. */
  readonly ancestorsOf: (slug: string) => readonly string[];
}

/** The terms an address names, as they are called now, each once; what is no term is noted. */
export function knownTerms(
  key: string,
  found: readonly string[],
  { termOf }: Pick<Vocabulary, 'termOf'>,
  { notices }: Pick<Reading, 'notices'>,
): string[] {
  const terms: string[] = [];
  for (const value of fewValues(key, found, maxValues, notices)) {
    const term = termOf(value);
    if (term === null) {
      const text = `“${value}” is not a term of “${key}”, so it was passed over.`;
      notices.push({ code: 'unknown-term', facet: key, value, text });
      continue;
    }
    if (term !== value) notices.push({ code: 'moved', facet: key, value, text: `“${value}” is now called “${term}”.` });
    if (!terms.includes(term)) terms.push(term);
  }
  return terms;
}

/** Reads chosen terms: of one above another the deeper one counts, and of a single choice the first. */
export function readTerms(
  key: string,
  isSingle: boolean,
  found: readonly string[],
  vocabulary: Vocabulary,
  reading: Pick<Reading, 'notices'>,
): Selection | undefined {
  const terms = knownTerms(key, found, vocabulary, reading);
  if (terms.length === 0) return undefined;
  const kept = deepest(terms, (term) => vocabulary.ancestorsOf(term));
  if (!isSingle) return { type: 'terms', terms: kept.sort(byCodeUnits) };
  for (const term of kept.slice(1)) reading.notices.push(singleChoice(key, term));
  return { type: 'term', term: kept[0]! };
}

/** Drops every chosen term that has a chosen term below it: choosing a child narrows its parent. */
export function deepest(terms: readonly string[], ancestorsOf: (term: string) => readonly string[]): string[] {
  const above = new Set(terms.flatMap((term) => ancestorsOf(term)));
  return terms.filter((term) => !above.has(term));
}

export function writeTerms(selection: Selection | undefined): string {
  if (selection?.type === 'term') return encodePart(selection.term);
  return selection?.type === 'terms' ? writeList(selection.terms) : '';
}

export function writeList(values: readonly string[]): string {
  let written = '';
  for (const value of values) written = written === '' ? encodePart(value) : `${written},${encodePart(value)}`;
  return written;
}
