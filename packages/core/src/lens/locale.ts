import type { Lens } from './lens.js';

/** Whether `Intl` knows a time zone. */
export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** Whether `Intl` takes a language tag, known or not. */
export function isLanguage(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/**
 * A lens whose language and zone can be drawn by: what was saved when they were not looked at, or by a server that knew
 * more zones, is shown in English and UTC.
 */
export function withKnownLocale(lens: Lens): Lens {
  if (isLanguage(lens.language) && isZone(lens.zone)) return lens;
  return {
    ...lens,
    language: isLanguage(lens.language) ? lens.language : 'en',
    zone: isZone(lens.zone) ? lens.zone : 'UTC',
  };
}
