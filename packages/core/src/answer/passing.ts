import { addTerm, type TermColumn } from '../index/term-column.js';
import { andBits, emptyBits, type Bits } from '../index/bits.js';
import type { PostIndex } from '../index/post-index.js';
import type { Facet } from '../model/lens.js';
import type { Selection } from '../model/query.js';

/** The posts whose values meet what is chosen in a facet. */
export function passing(index: PostIndex, facet: Facet, selection: Selection): Bits {
  const column = index.column(facet.field);
  switch (selection.type) {
    case 'switch':
      return anyOf(column, [selection.on ? 'yes' : 'no'], index.size);
    case 'term':
      return anyOf(column, [selection.term], index.size);
    case 'terms':
      return 'match' in facet && facet.match === 'all'
        ? allOf(column, selection.terms, index.size)
        : anyOf(column, selection.terms, index.size);
  }
}

function anyOf(column: TermColumn, slugs: readonly string[], size: number): Bits {
  const bits = emptyBits(size);
  for (const slug of slugs) {
    const term = column.numbers.get(slug);
    if (term !== undefined) addTerm(column, term, bits);
  }
  return bits;
}

function allOf(column: TermColumn, slugs: readonly string[], size: number): Bits {
  return slugs.map((slug) => anyOf(column, [slug], size)).reduce(andBits);
}
