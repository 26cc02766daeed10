import type { Settings } from '@ivy/core';
import { dayFormat } from './formats.js';

/** A calendar day as it stands; a moment by its day in the lens's zone. */
export function dateText(value: string, settings: Pick<Settings, 'language' | 'zone'>): string {
  const isDay = value.length === 10;
  const hasZone = /(Z|[+-]\d\d:\d\d)$/.test(value);
  const date = new Date(isDay ? `${value}T00:00:00Z` : hasZone ? value : `${value}Z`);
  if (Number.isNaN(date.getTime())) return value;
  const timeZone = hasZone ? settings.zone : 'UTC';
  return dayFormat(settings.language, timeZone).format(date);
}
