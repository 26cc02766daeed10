import { Lru } from '@ivy/core';

/*
 * Formats of `Intl`, each made once: to make one takes longer than to format a page of posts.
 */

/** One a language and zone that lenses are in. */
const formatsKept = 100;

const dateFormats = new Lru<string, Intl.DateTimeFormat>(formatsKept);

/** A calendar day as a language writes it in a middling length. */
export function dayFormat(language: string, timeZone: string): Intl.DateTimeFormat {
  const key = `${language} ${timeZone}`;
  return dateFormats.getOr(key, () => new Intl.DateTimeFormat(language, { dateStyle: 'medium', timeZone }));
}

const numberFormats = new Lru<string, Intl.NumberFormat>(formatsKept);

/** A number as a language writes it. */
export function figure(language: string, n: number): string {
  return numberFormats.getOr(language, () => new Intl.NumberFormat(language)).format(n);
}
