import type { Settings } from '@ivy/core';
import { dayFormat, type DateStyle } from './formats.js';

/** Units of time in days, the longest first, by which one says how long ago something is. */
const units = [
  ['year', 365],
  ['month', 30],
  ['week', 7],
  ['day', 1],
] as const;

/**
 * A calendar day as it stands; a moment by its day in the lens's zone.
 * @param now  milliseconds: what is told by how long ago it is counts from here
 */
export function dateText(
  value: string,
  settings: Pick<Settings, 'language' | 'zone'>,
  style: DateStyle | 'relative' = 'medium',
  now = Date.now(),
): string {
  const isDay = value.length === 10;
  const hasZone = /(Z|[+-]\d\d:\d\d)$/.test(value);
  const date = new Date(isDay ? `${value}T00:00:00Z` : hasZone ? value : `${value}Z`);
  if (Number.isNaN(date.getTime())) return value;
  const timeZone = hasZone ? settings.zone : 'UTC';
  if (style !== 'relative') return dayFormat(settings.language, timeZone, style).format(date);
  const days = Math.round((date.getTime() - now) / 86_400_000);
  const [unit, size] = units.find(([, one]) => Math.abs(days) >= one) ?? units[3];
  return new Intl.RelativeTimeFormat(settings.language, { numeric: 'auto' }).format(Math.trunc(days / size), unit);
}
