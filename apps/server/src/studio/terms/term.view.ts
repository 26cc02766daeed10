import { holdsTerms, summariseTerms, type PostIndex, type Term } from '@ivy/core';

/** A term of a source. */
export interface TermView {
  slug: string;
  label: string;
  parent: string | null;
  /** Posts that have it or one under it. */
  count: number;
  /** Posts that have just it. */
  own: number;
  hidden: boolean;
  /** Slugs that lead to it as well. */
  aliases: string[];
  /** Of these, those it had itself. */
  was: string[];
  /** Address of a picture that stands for it. */
  picture: string | null;
  /** `#rrggbb` */
  colour: string | null;
}

/** Something that was done to the terms of a field. */
export interface TermChangeView {
  id: number;
  /** Moment, as ISO 8601 writes it. */
  at: string;
  /** What, in words. */
  text: string;
  undone: boolean;
}

/** A released lens, and its facets that list the terms of a field. */
export interface LensOfTerms {
  slug: string;
  name: string;
  facets: string[];
}

/** What a change of terms comes to. */
export interface TermEffect {
  /** What is done, in words. */
  text: string;
  /** Slug of the term that was changed, or that others became; null where it was deleted. */
  term: string | null;
  /** Posts that lose a term, or get another instead. */
  posts: number;
  /** Posts of that term, with all under it. */
  before: number;
  after: number;
  /** Posts that have any term of the field. */
  filled: { before: number; after: number };
  /** Lenses that visitors see it in. */
  lenses: LensOfTerms[];
}

/** All terms of a field, depth first in their order. */
export function termViews(index: PostIndex, key: string): TermView[] {
  const field = index.field(key);
  const { terms, sizes } = index.column(key);
  const own = field && holdsTerms(field) ? summariseTerms(index, key, terms).own : sizes;
  return terms.map((term: Term, t) => ({
    slug: term.slug,
    label: term.label,
    parent: term.parent,
    count: sizes[t]!,
    own: own[t]!,
    hidden: term.hidden ?? false,
    aliases: term.aliases ?? [],
    was: term.was ?? [],
    picture: term.picture ?? null,
    colour: term.colour ?? null,
  }));
}
