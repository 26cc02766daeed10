/*
 * Formats of `Intl`, each made once: to make one takes longer than to format a page of posts.
 */

const dateFormats = new Map<string, Intl.DateTimeFormat>();

/** A calendar day as a language writes it in a middling length. */
export function dayFormat(language: string, timeZone: string): Intl.DateTimeFormat {
  const key = `${language} ${timeZone}`;
  let format = dateFormats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat(language, { dateStyle: 'medium', timeZone });
    dateFormats.set(key, format);
  }
  return format;
}

const numberFormats = new Map<string, Intl.NumberFormat>();

/** A number as a language writes it. */
export function figure(language: string, n: number): string {
  let format = numberFormats.get(language);
  if (!format) numberFormats.set(language, (format = new Intl.NumberFormat(language)));
  return format.format(n);
}
