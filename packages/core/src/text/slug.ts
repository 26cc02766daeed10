/**
 * Folds text so that what a reader takes for the same compares as the same: NFKD, combining marks dropped,
 * lower case.
 */
export function fold(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .toLowerCase();
}

/**
 * Makes a slug: lower-case letters of any script, digits, and single hyphens between them.
 * Marks that belong to a letter stay ("café" keeps its accent); text with no letter or digit gives 'x'.
 */
export function slugify(text: string): string {
  const slug = text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/&/g, ' and ')
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 80)
    .replace(/-+$/, '');
  return slug === '' ? 'x' : slug;
}

/** Gives slugs that are unique among those it gave before: `mudflat`, `mudflat-2`, … */
export class SlugMaker {
  readonly #taken = new Set<string>();

  /** Marks a slug as taken. */
  keep(slug: string): void {
    this.#taken.add(slug);
  }

  make(text: string): string {
    const wanted = slugify(text);
    let slug = wanted;
    for (let n = 2; this.#taken.has(slug); n++) slug = `${wanted}-${n}`;
    this.#taken.add(slug);
    return slug;
  }
}

/** Compares by code units, the order the address and all ties are defined in. */
export function byCodeUnits(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/** A field name as a person would write it: `observed_on` → `Observed on`. */
export function humanise(key: string): string {
  const words = key
    .replace(/([\p{Ll}\d])(\p{Lu})/gu, '$1 $2')
    .replace(/[_\-.\s]+/g, ' ')
    .trim()
    .toLowerCase();
  return words === '' ? key : words[0]!.toUpperCase() + words.slice(1);
}
