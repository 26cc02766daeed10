import type { Term } from '../model/post.js';
import { SlugMaker } from '../text/slug.js';

/**
 * Gathers the terms of one field while its posts are read. A term is known by its path of labels, so that
 * `North > Harbour` and `South > Harbour` stay two.
 */
export class Taxonomy {
  readonly #terms: Term[] = [];
  readonly #bySlug = new Map<string, Term>();
  readonly #byPath = new Map<string, string>();
  readonly #slugs = new SlugMaker();

  /** @param known  terms that are there already: they keep their slugs */
  constructor(known: readonly Term[] = []) {
    for (const term of known) {
      this.#slugs.keep(term.slug);
      for (const alias of term.aliases ?? []) this.#slugs.keep(alias);
      this.#terms.push(term);
      this.#bySlug.set(term.slug, term);
    }
    for (const term of known) this.#byPath.set(this.#pathOf(term), term.slug);
  }

  get terms(): Term[] {
    return this.#terms;
  }

  /** The slug of the term at a path of labels, top first. Terms that are new are added, those above them first. */
  place(labels: readonly string[]): string {
    let parent: string | null = null;
    let path = '';
    for (const label of labels) {
      path += `\u0000${label}`;
      let slug: string | undefined = this.#byPath.get(path);
      if (slug === undefined) {
        slug = this.#slugs.make(label);
        const term: Term = { slug, label, parent };
        this.#terms.push(term);
        this.#bySlug.set(slug, term);
        this.#byPath.set(path, slug);
      }
      parent = slug;
    }
    return parent!;
  }

  #pathOf(term: Term): string {
    const labels: string[] = [];
    for (let t: Term | undefined = term; t; t = t.parent === null ? undefined : this.#bySlug.get(t.parent)) {
      labels.unshift(t.label);
      if (labels.length > 50) break;
    }
    return labels.map((label) => `\u0000${label}`).join('');
  }
}
