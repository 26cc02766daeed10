import { isBroken, slugify } from '@ivy/core';

/** A slug that is not taken yet: the wished one, or it with a number. */
export function freeSlug(wish: string, taken: ReadonlySet<string>): string {
  const base = slugify(wish)
    .slice(0, 60)
    .replace(/[\ud800-\udbff]$/, '');
  let slug = base;
  for (let n = 2; taken.has(slug); n++) slug = `${base}-${n}`;
  return slug;
}

/** Whether anything may go by a name in a path: what is too long or broken, PostgreSQL need not be asked for. */
export function mayBeSlug(text: string): boolean {
  return text.length <= 200 && !isBroken(text);
}

/** What a slug in a body must look like. */
export const slugPattern = /^[\p{Ll}\p{Lo}\p{N}][\p{Ll}\p{Lo}\p{M}\p{N}-]{0,79}$/u;
export const slugMessage = 'must be 1 to 80 lower-case letters, digits and hyphens';
