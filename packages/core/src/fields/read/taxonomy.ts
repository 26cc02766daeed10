import type { Term } from '../../model/post.js';
import { SlugMaker, slugify } from '../../text/slug.js';
import { pathKey, pathsOf } from '../taxonomy/term-paths.js';

/** Whether terms that are known stand where they stood, or where they are found first. */
export type TermOrder = 'kept' | 'found';

/**
 * Gathers the terms of one field while its posts are read. A term is known by its path of labels, so that
 * `North > Harbour` and `South > Harbour` stay two.
 */
export class Taxonomy {
  readonly #terms: Term[] = [];
  readonly #byPath = new Map<string, string>();
  readonly #slugs = new SlugMaker();
  /** By path: the slug it had, where its term is not placed yet. */
  readonly #had = new Map<string, string>();
  /** By slug: the term it leads to. */
  readonly #leads = new Map<string, string>();
  /** By what a label is as a slug: slugs that led elsewhere when this began. Such a label may have its own back. */
  readonly #led = new Map<string, string[]>();
  readonly #given = new Set<string>();

  /** Terms that were deleted, each with what stands where it stood. */
  readonly #gone = new Map<string, string | null>();
  /** Once someone shaped the terms: places of those that have paths, and terms by what they are called under another. */
  readonly #shaped = new Map<string, number>();
  readonly #byLabel = new Map<string, string>();

  /** @param known  terms that are there already: they keep their slugs, and shaped ones their places */
  constructor(known: readonly Term[] = [], order: TermOrder = 'kept') {
    const paths = pathsOf(known);
    const isShaped = known.some((term) => term.paths !== undefined);
    for (const term of known) {
      this.#keepSlugs(term);
      if (order === 'found' && !isShaped) this.#had.set(pathKey(paths(term)[0]!), term.slug);
      else this.#keep(term, paths(term));
    }
  }

  #keepSlugs({ slug, aliases = [] }: Term): void {
    this.#slugs.keep(slug);
    for (const alias of aliases) {
      this.#slugs.keep(alias);
      this.#leads.set(alias, slug);
      for (const wish of new Set([alias, alias.replace(/-\d+$/, '')])) {
        this.#led.set(wish, [...(this.#led.get(wish) ?? []), alias]);
      }
    }
  }

  #keep(term: Term, paths: readonly string[][]): void {
    const { slug, label, parent, gone } = term;
    if (term.paths) this.#shaped.set(slug, this.#terms.length);
    if (gone) this.#gone.set(slug, parent);
    else this.#byLabel.set(childKey(parent, label), slug);
    this.#terms.push({ ...term });
    this.#leads.delete(slug);
    for (const path of paths) this.#byPath.set(pathKey(path), slug);
  }

  /** The terms in their order, each with the slugs that lead to it. */
  get terms(): Term[] {
    const aliases = new Map<string, string[]>();
    for (const [alias, slug] of this.#leads) {
      const list = aliases.get(slug);
      if (list) list.push(alias);
      else aliases.set(slug, [alias]);
    }
    return this.#terms.map(({ aliases: _before, ...term }) => {
      const own = aliases.get(term.slug);
      return own ? { ...term, aliases: own } : term;
    });
  }

  /**
   * The slug of the term at a path of labels, top first; null for one that was deleted. Terms that are new are added,
   * those above them first.
   */
  place(labels: readonly string[]): string | null {
    let parent: string | null = null;
    let found: string | null = null;
    let path = '';
    labels.forEach((label, level) => {
      path += pathKey([label]);
      let slug: string | undefined = this.#byPath.get(path) ?? this.#called(label, parent, path, labels, level);
      if (slug === undefined) {
        slug = this.#slugAt(path, label);
        this.#add(path, { slug, label, parent });
      }
      const isGone = this.#gone.has(slug);
      found = isGone ? null : slug;
      parent = isGone ? this.#gone.get(slug)! : slug;
    });
    return found;
  }

  /** A term that came to be called so, or to stand there, by hand: the path leads to it from now on. */
  #called(label: string, parent: string | null, path: string, labels: readonly string[], level: number) {
    const slug = this.#byLabel.get(childKey(parent, label));
    if (slug === undefined) return undefined;
    this.#byPath.set(path, slug);
    const place = this.#shaped.get(slug);
    if (place !== undefined) {
      const term = this.#terms[place]!;
      this.#terms[place] = { ...term, paths: [...term.paths!, labels.slice(0, level + 1)] };
    }
    return slug;
  }

  /** Has the slug that a path had, or would have, lead to another term: addresses that name it still answer. */
  lead(labels: readonly string[], to: string): void {
    const path = pathKey(labels);
    if (this.#byPath.has(path)) return;
    const slug = this.#slugAt(path, labels.at(-1)!);
    this.#byPath.set(path, slug);
    this.#leads.set(slug, to);
  }

  #add(path: string, term: Term): void {
    this.#terms.push(term);
    this.#byPath.set(path, term.slug);
    this.#byLabel.set(childKey(term.parent, term.label), term.slug);
    this.#leads.delete(term.slug);
  }

  /** The slug a path had; or one that led elsewhere, and is free again; or a new one. */
  #slugAt(path: string, label: string): string {
    const had = this.#had.get(path);
    if (had !== undefined) return had;
    const led = this.#led.get(slugify(label))?.find((slug) => !this.#given.has(slug));
    if (led === undefined) return this.#slugs.make(label);
    this.#given.add(led);
    return led;
  }
}

function childKey(parent: string | null, label: string): string {
  return `${parent ?? ''}\u0000${label}`;
}
