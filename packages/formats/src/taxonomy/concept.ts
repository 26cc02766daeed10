/** A term of a taxonomy as it goes out and comes in: a concept of SKOS. */
export interface Concept {
  /** What it is known by here: its notation, or the end of its address. */
  slug: string;
  label: string;
  /** Slug of what stands above it; null at the top. */
  parent: string | null;
  /** Slugs that lead to it as well. */
  aliases: string[];
  hidden: boolean;
  picture: string | null;
  /** `#rrggbb` */
  colour: string | null;
}

export const skos = 'http://www.w3.org/2004/02/skos/core#';
export const rdf = 'http://www.w3.org/1999/02/22-rdf-syntax-ns#';
/** For what SKOS has no words for. */
export const own = 'urn:ivy-lens:term:';
export const depiction = 'http://xmlns.com/foaf/0.1/depiction';

/** Terms of one taxonomy at most. */
export const mostConcepts = 20_000;
