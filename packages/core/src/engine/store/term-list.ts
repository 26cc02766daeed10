import { holdsTerms, livingTerms, type Field, type Term } from '../../model/post.js';

/** The terms of a field, numbered. */
export interface TermList {
  /** Depth first, parents before children. */
  terms: readonly Term[];
  /** Term number by present slug, then by old slugs. */
  numbers: ReadonlyMap<string, number>;
  /** Number of the term above; -1 at the top. */
  parents: Int32Array;
}

const yesAndNo: readonly Term[] = [
  { slug: 'yes', label: 'Yes', parent: null },
  { slug: 'no', label: 'No', parent: null },
];

/** The terms of a field of terms or of yes and no; null for any other, which facets by its values. */
export function termListOf(field: Field, taxonomy: readonly Term[] | undefined): TermList | null {
  if (field.type === 'boolean') return termList(yesAndNo);
  return holdsTerms(field) ? termList(depthFirst(livingTerms(taxonomy ?? []))) : null;
}

/** Numbers terms that are depth first already. */
export function termList(terms: readonly Term[]): TermList {
  const numbers = new Map<string, number>();
  terms.forEach((term, t) => numbers.set(term.slug, t));
  terms.forEach((term, t) => {
    for (const alias of term.aliases ?? []) if (!numbers.has(alias)) numbers.set(alias, t);
  });
  const parents = Int32Array.from(terms, (term, t) => {
    const parent = term.parent === null ? undefined : numbers.get(term.parent);
    return parent === undefined || parent >= t ? -1 : parent;
  });
  return { terms, numbers, parents };
}

/** Puts terms depth first, siblings in given order; a term whose parent is missing stands at the top. */
function depthFirst(taxonomy: readonly Term[]): readonly Term[] {
  const known = new Set(taxonomy.map((term) => term.slug));
  const below = new Map<string | null, Term[]>();
  for (const term of taxonomy) {
    const parent = term.parent !== null && known.has(term.parent) ? term.parent : null;
    const siblings = below.get(parent);
    if (siblings) siblings.push(term);
    else below.set(parent, [term]);
  }
  const sorted: Term[] = [];
  const stack: Term[] = [];
  // one at a time: a term may have more children than a call can have arguments
  const put = (terms: readonly Term[] = []) => {
    for (let i = terms.length - 1; i >= 0; i--) stack.push(terms[i]!);
  };
  put(below.get(null));
  while (stack.length > 0) {
    const term = stack.pop()!;
    sorted.push(term);
    put(below.get(term.slug));
  }
  return sorted;
}
