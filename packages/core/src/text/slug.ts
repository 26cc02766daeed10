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

/** Characters of a text that its slug is made of: what comes after could not be in the slug, but for blanks. */
const longestLabel = 1000;

/**
 * Makes a slug: lower-case letters of any script, digits, and single hyphens between them.
 * Marks that belong to a letter stay ("café" keeps its accent); text with no letter or digit gives 'x'.
 */
export function slugify(text: string): string {
  const slug = text
    .slice(0, longestLabel)
    .normalize('NFKC')
    .toLowerCase()
    .replace(/&/g, ' and ')
    .replace(/[^\p{L}\p{M}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
  return cutSlug(slug, 80) || 'x';
}

/** A slug of at most so many UTF-16 units, with no hyphen and no half of a letter at its end. */
function cutSlug(slug: string, longest: number): string {
  return slug
    .slice(0, longest)
    .replace(/[\ud800-\udbff]$/, '')
    .replace(/-+$/, '');
}

/** Gives slugs that are unique among those it gave before: `mudflat`, `mudflat-2`, … */
export class SlugMaker {
  readonly #taken = new Set<string>();
  /** By slug: the number tried last, so that a thousandth namesake does not try all numbers before its own. */
  readonly #numbers = new Map<string, number>();

  /** Marks a slug as taken. */
  keep(slug: string): void {
    this.#taken.add(slug);
  }

  /** @param longest  in UTF-16 units, the number at its end included */
  make(text: string, longest = 120): string {
    const wanted = cutSlug(slugify(text), longest);
    let slug = wanted;
    let n = this.#numbers.get(wanted) ?? 1;
    while (this.#taken.has(slug)) slug = `${cutSlug(wanted, longest - String(++n).length - 1)}-${n}`;
    if (n > 1) this.#numbers.set(wanted, n);
    this.#taken.add(slug);
    return slug;
  }
}

/** Compares by code units, the order the address and all ties are defined in. */
export function byCodeUnits(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}

/**
 * A field name as a person would write it: `observed_on` → `Observed on`. What was written for people already stays as it is
 * (`IMDB Rating`), and so do names in capitals that stand for something (`imdbID` → `Imdb ID`).
 */
export function humanise(key: string): string {
  const given = key.trim().replace(/\s+/g, ' ');
  if (/\s/.test(given) && /\p{Lu}/u.test(given) && /\p{Ll}/u.test(given)) return capital(given);
  const words = given
    .replace(/([\p{Ll}\d])(\p{Lu})/gu, '$1 $2')
    .replace(/(\p{Lu})(\p{Lu}\p{Ll})/gu, '$1 $2')
    .replace(/[_\-.\s]+/g, ' ')
    .trim()
    .split(' ');
  if (words[0] === '') return key;
  // a table may have all its names in capitals; there only a short one alone is taken for an abbreviation
  const longest = !words.every(isInCapitals) ? Infinity : words.length === 1 ? 4 : 0;
  const kept = words.map((word) => (isInCapitals(word) && word.length <= longest ? word : word.toLowerCase()));
  return capital(kept.join(' '));
}

function isInCapitals(word: string): boolean {
  return /^[\p{Lu}\d]{2,}$/u.test(word);
}

function capital(text: string): string {
  return text[0]!.toUpperCase() + text.slice(1);
}
