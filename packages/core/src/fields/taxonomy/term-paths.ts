import type { Term } from '../../model/post.js';

/** Levels that are followed upwards at most: a circle, which nothing should make, ends there. */
const mostLevels = 50;

/** The labels that lead to each term, top first: those it was given, or else its own under those above it. */
export function pathsOf(terms: readonly Term[]): (term: Term) => string[][] {
  const bySlug = new Map(terms.map((term) => [term.slug, term]));
  return (term) => {
    if (term.paths) return term.paths;
    const labels: string[] = [];
    for (let at: Term | undefined = term; at; at = at.parent === null ? undefined : bySlug.get(at.parent)) {
      labels.unshift(at.label);
      if (labels.length > mostLevels) break;
    }
    return [labels];
  };
}

/** The terms that someone shaped, and those they stand under. */
export function shapedTerms(terms: readonly Term[]): Term[] {
  const kept = new Set(terms.filter(({ paths }) => paths).map(({ slug }) => slug));
  // from the last to the first: what stands above another one comes before it, or is found in the next round
  for (let size = -1; size !== kept.size;) {
    size = kept.size;
    for (const { slug, parent } of [...terms].reverse()) if (parent !== null && kept.has(slug)) kept.add(parent);
  }
  return terms.filter(({ slug }) => kept.has(slug));
}

/** Labels as one text, by which a path is found. */
export function pathKey(labels: readonly string[]): string {
  return labels.map((label) => `\u0000${label}`).join('');
}
