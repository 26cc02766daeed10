import type { Term } from '../../model/post.js';
import { SlugMaker } from '../../text/slug.js';
import { mostShapedTerms, mostTermLevels, type TermChange, type TermProblem } from './term-change.js';
import { pathsOf } from './term-paths.js';

/** The terms of a field after a change, in their order; or why it can't be made. */
export type TaxonomyChanged = { terms: Term[]; problem: null } | { terms: null; problem: TermProblem };

class Refused extends Error {
  constructor(readonly problem: TermProblem) {
    super(problem.text);
  }
}

/**
 * Changes the terms of a field. Values need not be read again: every term keeps the paths of labels that lead to it, so
 * that what comes in later finds it too, and every slug that goes leads to what took its place.
 * @param terms  all there are, those that are gone included, in their order; siblings stand in theirs
 */
export function changeTaxonomy(terms: readonly Term[], change: TermChange): TaxonomyChanged {
  if (change.does === 'several') {
    return change.changes.reduce<TaxonomyChanged>(
      (before, one) => (before.terms ? changeTaxonomy(before.terms, one) : before),
      { terms: [...terms], problem: null },
    );
  }
  try {
    return { terms: new Shaping(terms).apply(change), problem: null };
  } catch (error) {
    if (error instanceof Refused) return { terms: null, problem: error.problem };
    throw error;
  }
}

/** Terms while they are changed. What is not changed stays the object it was. */
class Shaping {
  readonly #terms: Term[];
  readonly #places: Map<string, number>;
  readonly #paths: (term: Term) => string[][];

  constructor(terms: readonly Term[]) {
    this.#terms = [...terms];
    this.#places = new Map(terms.map(({ slug }, i) => [slug, i]));
    this.#paths = pathsOf(terms);
  }

  apply(change: Exclude<TermChange, { does: 'several' }>): Term[] {
    switch (change.does) {
      case 'rename':
        return this.#rename(this.#find(change.term), change.label?.trim(), change.slug);
      case 'move':
        return this.#move(this.#find(change.term), change.parent, change.position);
      case 'hide':
        return this.#hide(this.#find(change.term), change.hidden);
      case 'picture':
        return this.#draw(this.#find(change.term), change);
      case 'add':
        return this.#add(change.label.trim(), change.slug, change.parent ?? null);
      case 'remove':
        return this.#remove(this.#find(change.term));
      case 'merge':
        return this.#merge(change.from, this.#find(change.into));
    }
  }

  /** A term by its slug, or by one that leads to it. */
  #find(slug: string): Term {
    const at = this.#places.get(slug);
    const found =
      (at !== undefined && !this.#terms[at]!.gone && this.#terms[at]) ||
      this.#terms.find(({ gone, aliases }) => !gone && aliases?.includes(slug));
    if (!found) throw new Refused({ code: 'no-such-term', text: `There is no term “${slug.slice(0, 100)}”.` });
    return found;
  }

  #put(slug: string, patch: Partial<Term>): void {
    const at = this.#places.get(slug)!;
    this.#terms[at] = { ...this.#terms[at]!, ...patch };
  }

  #hide(term: Term, hidden: boolean): Term[] {
    this.#keepPath(term);
    this.#put(term.slug, { hidden });
    return this.#terms;
  }

  /** Has a term, and all under it, keep the paths that lead to them, whatever they are called or stand under from now on. */
  #keepPaths(slug: string): void {
    for (const term of this.#branch(slug)) this.#keepPath(term);
  }

  /** The same of a term alone: it was shaped, and stays as it is whenever values are read. */
  #keepPath(term: Term): void {
    if (!term.paths) this.#put(term.slug, { paths: this.#paths(term) });
  }

  /** A term and all that stand under it. */
  #branch(slug: string): Term[] {
    const below = this.#below();
    const found: Term[] = [];
    const stack = [slug];
    while (stack.length > 0) {
      const one = stack.pop()!;
      found.push(this.#terms[this.#places.get(one)!]!);
      stack.push(...(below.get(one) ?? []));
    }
    return found;
  }

  #below(): Map<string, string[]> {
    const below = new Map<string, string[]>();
    for (const { slug, parent } of this.#terms) {
      if (parent === null) continue;
      const siblings = below.get(parent);
      if (siblings) siblings.push(slug);
      else below.set(parent, [slug]);
    }
    return below;
  }

  #rename(term: Term, label: string | undefined, slug: string | undefined): Term[] {
    this.#keepPaths(term.slug);
    if (label !== undefined) this.#put(term.slug, { label });
    if (slug === undefined || slug === term.slug) return this.#terms;
    // one that led to it before is its own again
    if (this.#isTaken(slug) && !term.aliases?.includes(slug)) throw taken(slug);
    const others = (all: readonly string[] | undefined) => (all ?? []).filter((one) => one !== slug);
    const [aliases, was] = [others(term.aliases), others(term.was)];
    this.#put(term.slug, { slug, aliases: [...aliases, term.slug], was: [...was, term.slug] });
    this.#terms.forEach(({ parent }, i) => {
      if (parent === term.slug) this.#terms[i] = { ...this.#terms[i]!, parent: slug };
    });
    return this.#terms;
  }

  #isTaken(slug: string): boolean {
    return this.#terms.some((term) => term.slug === slug || term.aliases?.includes(slug));
  }

  #move(term: Term, parent: string | null | undefined, position: number | undefined): Term[] {
    const above = parent === undefined ? term.parent : parent === null ? null : this.#find(parent).slug;
    if (above !== null) this.#checkRoom(term.slug, above);
    if (above === term.parent) this.#keepPath(term);
    else {
      this.#keepPaths(term.slug);
      this.#put(term.slug, { parent: above });
    }
    const moved = this.#terms[this.#places.get(term.slug)!]!;
    const rest = this.#terms.filter(({ slug }) => slug !== term.slug);
    const siblings = rest.filter(({ parent, gone }) => parent === above && !gone);
    const before = siblings[Math.max(0, Math.min(position ?? siblings.length, siblings.length))];
    // the order of a list tells the order of siblings; what else stands between them says nothing
    const at = before ? rest.indexOf(before) : rest.length;
    return rest.toSpliced(at, 0, moved);
  }

  /** That a term can stand under another: not under itself, and not too deep. */
  #checkRoom(slug: string, above: string): void {
    const branch = this.#branch(slug);
    if (branch.some((one) => one.slug === above)) {
      const text = 'A term can’t stand under itself or what is under it.';
      throw new Refused({ code: 'in-a-circle', text });
    }
    const height = Math.max(...branch.map((one) => this.#depth(one.slug))) - this.#depth(slug) + 1;
    if (this.#depth(above) + height > mostTermLevels) throw tooDeep();
  }

  /** Levels down to a term, itself included. */
  #depth(slug: string): number {
    let depth = 0;
    for (let at: string | null = slug; at !== null && depth <= mostTermLevels; depth++) {
      const place: number | undefined = this.#places.get(at);
      at = place === undefined ? null : this.#terms[place]!.parent;
    }
    return depth;
  }

  #draw(term: Term, { picture, colour }: { picture?: string | null; colour?: string | null }): Term[] {
    this.#keepPath(term);
    const place = this.#places.get(term.slug)!;
    const next = { ...this.#terms[place]! };
    if (picture === null) delete next.picture;
    else if (picture !== undefined) next.picture = picture;
    if (colour === null) delete next.colour;
    else if (colour !== undefined) next.colour = colour;
    this.#terms[place] = next;
    return this.#terms;
  }

  #add(label: string, slug: string | undefined, parent: string | null): Term[] {
    if (this.#terms.length >= mostShapedTerms) {
      const text = `A field has ${mostShapedTerms.toLocaleString('en')} terms at most.`;
      throw new Refused({ code: 'too-many-terms', text });
    }
    const above = parent === null ? null : this.#find(parent).slug;
    if (above !== null && this.#depth(above) >= mostTermLevels) throw tooDeep();
    if (slug !== undefined && this.#isTaken(slug)) throw taken(slug);
    return [
      ...this.#terms,
      { slug: slug ?? this.#freeSlug(label), label, parent: above, paths: this.#freePaths(label, above) },
    ];
  }

  #freeSlug(label: string): string {
    const slugs = new SlugMaker();
    for (const term of this.#terms) for (const one of [term.slug, ...(term.aliases ?? [])]) slugs.keep(one);
    return slugs.make(label);
  }

  /** Values that name the new term lead to it, unless they lead to another already. */
  #freePaths(label: string, parent: string | null): string[][] {
    const above = parent === null ? [[]] : this.#paths(this.#terms[this.#places.get(parent)!]!);
    const own = above.map((path) => [...path, label].join('\u0000'));
    const led = new Set(this.#terms.flatMap((term) => this.#paths(term).map((path) => path.join('\u0000'))));
    return own.filter((path) => !led.has(path)).map((path) => path.split('\u0000'));
  }

  #remove({ slug, parent }: Term): Term[] {
    this.#keepPaths(slug);
    this.#lift(slug, parent);
    this.#put(slug, { gone: true });
    return this.#terms;
  }

  /** Has what stands under a term stand under another. */
  #lift(slug: string, to: string | null): void {
    this.#terms.forEach((term, i) => {
      if (term.parent === slug && term.slug !== to) this.#terms[i] = { ...term, parent: to };
    });
  }

  #merge(from: readonly string[], into: Term): Term[] {
    const merged = [...new Set(from.map((slug) => this.#find(slug).slug))].filter((slug) => slug !== into.slug);
    if (merged.length === 0) {
      throw new Refused({ code: 'nothing-to-merge', text: 'Name a term other than the one it is merged into.' });
    }
    for (const slug of [...merged, into.slug]) this.#keepPaths(slug);
    for (const slug of merged) this.#mergeOne(slug, into.slug);
    const gone = new Set(merged);
    return this.#terms.filter(({ slug }) => !gone.has(slug));
  }

  #mergeOne(slug: string, to: string): void {
    const term = this.#terms[this.#places.get(slug)!]!;
    // what it is merged into may stand under it: that moves up to where it stood
    const above = this.#ancestors(to);
    if (above.includes(slug)) this.#put(to, { parent: term.parent });
    this.#lift(slug, to);
    const target = this.#terms[this.#places.get(to)!]!;
    this.#put(to, {
      aliases: [...new Set([...(target.aliases ?? []), slug, ...(term.aliases ?? [])])],
      paths: [...(target.paths ?? []), ...(term.paths ?? [])],
      ...(target.picture === undefined && term.picture !== undefined && { picture: term.picture }),
      ...(target.colour === undefined && term.colour !== undefined && { colour: term.colour }),
    });
    if (this.#depthBelow(to) > mostTermLevels) throw tooDeep();
  }

  #depthBelow(slug: string): number {
    return Math.max(...this.#branch(slug).map((one) => this.#depth(one.slug)));
  }

  #ancestors(slug: string): string[] {
    const found: string[] = [];
    for (let at = this.#terms[this.#places.get(slug)!]!.parent; at !== null && found.length <= mostTermLevels;) {
      found.push(at);
      const place = this.#places.get(at);
      at = place === undefined ? null : this.#terms[place]!.parent;
    }
    return found;
  }
}

function taken(slug: string): Refused {
  const text = `“${slug}” leads to a term already. Choose another.`;
  return new Refused({ code: 'slug-taken', text });
}

function tooDeep(): Refused {
  return new Refused({ code: 'too-deep', text: `Terms stand ${mostTermLevels} levels deep at most.` });
}
