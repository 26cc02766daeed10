import type { TermView } from '@ivy/client';

/** The terms of a field as they stand under one another. Terms come parents first, siblings in their order. */
export interface TermTree {
  terms: readonly TermView[];
  bySlug: ReadonlyMap<string, TermView>;
  /** By slug of the term above; '' for the top. */
  children: ReadonlyMap<string, readonly TermView[]>;
  depths: ReadonlyMap<string, number>;
  /** Levels there are. */
  height: number;
}

export function termTree(terms: readonly TermView[]): TermTree {
  const children = new Map<string, TermView[]>();
  const depths = new Map<string, number>();
  for (const term of terms) {
    const above = term.parent ?? '';
    const siblings = children.get(above);
    if (siblings) siblings.push(term);
    else children.set(above, [term]);
    depths.set(term.slug, term.parent === null ? 0 : (depths.get(term.parent) ?? -1) + 1);
  }
  return {
    terms,
    bySlug: new Map(terms.map((term) => [term.slug, term])),
    children,
    depths,
    height: terms.reduce((most, { slug }) => Math.max(most, depths.get(slug)! + 1), 0),
  };
}

export function siblingsOf({ children }: TermTree, { parent }: TermView): readonly TermView[] {
  return children.get(parent ?? '') ?? [];
}

/** A term and all under it. */
export function branchOf(tree: TermTree, slug: string): Set<string> {
  const found = new Set([slug]);
  // parents come first, so one pass finds all
  for (const term of tree.terms) if (term.parent !== null && found.has(term.parent)) found.add(term.slug);
  return found;
}

/** The terms in sight: those that match words with all above them, or those under no folded one. */
export function termsInSight(tree: TermTree, words: string, folded: ReadonlySet<string>): readonly TermView[] {
  const wanted = words.trim().toLocaleLowerCase();
  if (wanted !== '') {
    const shown = new Set<string>();
    for (const term of [...tree.terms].reverse()) {
      const says = [term.label, term.slug, ...term.aliases].some((text) => text.toLocaleLowerCase().includes(wanted));
      if (says || shown.has(term.slug)) {
        shown.add(term.slug);
        if (term.parent !== null) shown.add(term.parent);
      }
    }
    return tree.terms.filter(({ slug }) => shown.has(slug));
  }
  const hidden = new Set<string>();
  return tree.terms.filter(({ slug, parent }) => {
    const isUnder = parent !== null && (folded.has(parent) || hidden.has(parent));
    if (isUnder) hidden.add(slug);
    return !isUnder;
  });
}

/** Where a term goes, one step at a time: among its siblings, under the one before it, or out beside what is above it. */
export type Step = 'earlier' | 'later' | 'in' | 'out';

export interface Place {
  parent: string | null;
  position: number;
}

/** Null where it can't go there. */
export function placeAfter(tree: TermTree, term: TermView, step: Step): Place | null {
  const siblings = siblingsOf(tree, term);
  const at = siblings.indexOf(term);
  if (step === 'earlier') return at > 0 ? { parent: term.parent, position: at - 1 } : null;
  if (step === 'later') return at < siblings.length - 1 ? { parent: term.parent, position: at + 1 } : null;
  if (step === 'in') {
    const before = siblings[at - 1];
    return before ? { parent: before.slug, position: tree.children.get(before.slug)?.length ?? 0 } : null;
  }
  const above = term.parent === null ? undefined : tree.bySlug.get(term.parent);
  return above ? { parent: above.parent, position: siblingsOf(tree, above).indexOf(above) + 1 } : null;
}

/** Where a term goes that is dropped before or after another one. */
export function placeBeside(tree: TermTree, term: TermView, target: TermView, after: boolean): Place {
  const others = siblingsOf(tree, target).filter((one) => one !== term);
  return { parent: target.parent, position: others.indexOf(target) + (after ? 1 : 0) };
}
