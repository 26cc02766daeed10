import { Lru } from '@ivy/core';

/*
 * Formats of `Intl`, each made once: to make one takes longer than to format a page of posts.
 */

/** One a language and zone that lenses are in. */
const formatsKept = 100;

const dateFormats = new Lru<string, Intl.DateTimeFormat>(formatsKept);

/** How long a day is written; `month`: its month and year alone; `time`: with the time. */
export type DateStyle = 'short' | 'medium' | 'long' | 'full' | 'month' | 'time';

/** A calendar day as a language writes it. */
export function dayFormat(language: string, timeZone: string, style: DateStyle = 'medium'): Intl.DateTimeFormat {
  return dateFormats.getOr(`${language} ${timeZone} ${style}`, () => {
    const shown =
      style === 'month'
        ? ({ month: 'long', year: 'numeric' } as const)
        : style === 'time'
          ? ({ dateStyle: 'medium', timeStyle: 'short' } as const)
          : { dateStyle: style };
    return new Intl.DateTimeFormat(language, { ...shown, timeZone });
  });
}

const numberFormats = new Lru<string, Intl.NumberFormat>(formatsKept);

/** A number of minutes as a language writes it, in short. */
export function minutes(language: string, n: number): string {
  const make = () => new Intl.NumberFormat(language, { style: 'unit', unit: 'minute' });
  return numberFormats.getOr(`${language} minutes`, make).format(n);
}

/** A number as a language writes it. */
export function figure(language: string, n: number): string {
  return numberFormats.getOr(language, () => new Intl.NumberFormat(language)).format(n);
}
