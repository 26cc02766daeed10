import { livingTerms, type Term } from '../../model/post.js';
import { fold } from '../../text/slug.js';
import { changeTaxonomy } from './change-taxonomy.js';
import type { TermChange, TermProblem } from './term-change.js';

/** A term as a taxonomy from elsewhere has it. */
export interface TaxonomyTerm {
  slug: string;
  label: string;
  parent: string | null;
  hidden: boolean;
  picture: string | null;
  colour: string | null;
}

/** Changes that are made in one go at most. */
export const mostChangesTowards = 3000;

type Change = Exclude<TermChange, { does: 'several' }>;

/**
 * What must be done to the terms of a field for them to be as a taxonomy has them, one after the other: those it has are
 * found by their slugs, by what led to them before, or by their labels; those it lacks are added; what it does not know
 * stays, after what it knows.
 * @param wanted  depth first, in their order
 */
export function changesTowards(
  terms: readonly Term[],
  wanted: readonly TaxonomyTerm[],
): { changes: Change[]; problem: null } | { changes: null; problem: TermProblem } {
  const changes: Change[] = [];
  let now: readonly Term[] = terms;
  const problemOf = (change: Change): TermProblem | null => {
    if (changes.length >= mostChangesTowards) {
      const text = `More than ${mostChangesTowards} terms would change. Bring in a part of them first.`;
      return { code: 'too-many-terms', text };
    }
    const { terms: next, problem } = changeTaxonomy(now, change);
    if (problem) return problem;
    now = next;
    changes.push(change);
    return null;
  };
  const here = new Map<string, string>();
  for (const one of wanted) {
    const parent = one.parent === null ? null : (here.get(one.parent) ?? null);
    let term = find(now, one, parent);
    if (!term) {
      const slug = /^[a-z0-9]+(?:-[a-z0-9]+)*$/.test(one.slug) ? { slug: one.slug } : {};
      const problem = problemOf({ does: 'add', label: one.label, ...slug, parent });
      if (problem) return { changes: null, problem };
      term = livingTerms(now).at(-1)!;
    }
    here.set(one.slug, term.slug);
    for (const change of differences(term, one, parent)) {
      const problem = problemOf(change);
      if (problem) return { changes: null, problem };
    }
  }
  for (const change of orderings(wanted, here)) {
    if (isInPlace(now, change, here)) continue;
    const problem = problemOf(change);
    if (problem) return { changes: null, problem };
  }
  return { changes, problem: null };
}

function find(terms: readonly Term[], { slug, label }: TaxonomyTerm, parent: string | null): Term | undefined {
  const all = livingTerms(terms);
  return (
    all.find((term) => term.slug === slug) ??
    all.find(({ aliases }) => aliases?.includes(slug)) ??
    all.find((term) => term.parent === parent && fold(term.label) === fold(label))
  );
}

function differences(term: Term, wanted: TaxonomyTerm, parent: string | null): Change[] {
  const { slug } = term;
  const { label, hidden, picture, colour } = wanted;
  return [
    ...(term.label === label ? [] : [{ does: 'rename', term: slug, label } as const]),
    ...(term.parent === parent ? [] : [{ does: 'move', term: slug, parent } as const]),
    ...((term.hidden ?? false) === hidden ? [] : [{ does: 'hide', term: slug, hidden } as const]),
    ...((term.picture ?? null) === picture && (term.colour ?? null) === colour
      ? []
      : [{ does: 'picture', term: slug, picture, colour } as const]),
  ];
}

/** Each term at its place among its siblings. */
function orderings(
  wanted: readonly TaxonomyTerm[],
  here: ReadonlyMap<string, string>,
): Extract<Change, { does: 'move' }>[] {
  const counts = new Map<string | null, number>();
  return wanted.map(({ slug, parent }) => {
    const position = counts.get(parent) ?? 0;
    counts.set(parent, position + 1);
    return { does: 'move', term: here.get(slug)!, position };
  });
}

function isInPlace(
  terms: readonly Term[],
  change: Extract<Change, { does: 'move' }>,
  here: ReadonlyMap<string, string>,
): boolean {
  const all = livingTerms(terms);
  const term = all.find(({ slug }) => slug === change.term);
  if (!term || here.size === 0) return true;
  return all.filter(({ parent }) => parent === term.parent)[change.position ?? 0]?.slug === change.term;
}
