import { slugify } from '@ivy/core';

/** A slug that a list does not have yet: the wished one, or it with a number. */
export function freeSlug(wish: string, taken: readonly string[]): string {
  const base = slugify(wish).slice(0, 60);
  let slug = base;
  for (let n = 2; taken.includes(slug); n++) slug = `${base}-${n}`;
  return slug;
}

/** What a slug in a body must look like. */
export const slugPattern = /^[\p{Ll}\p{Lo}\p{N}][\p{Ll}\p{Lo}\p{M}\p{N}-]{0,79}$/u;
export const slugMessage = 'must be 1 to 80 lower-case letters, digits and hyphens';
