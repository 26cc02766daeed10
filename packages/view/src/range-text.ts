import type { FacetSettings, Settings } from '@ivy/core';
import type { RangeControl } from './controls.js';
import { dayFormat, figure } from './formats.js';

/** What a range is of. */
type RangeOf = RangeControl['of'];

/** The ends of a range as its inputs hold them: empty where it is open. */
export function endsOf(value: string | undefined): [from: string, to: string] {
  if (value === undefined) return ['', ''];
  const parts = value.split('/');
  // a preset such as `P30D` has no ends until it is answered; a lone day is both
  if (parts.length === 1) return isDayOrPart(value) ? [value, value] : ['', ''];
  const [from = '', to = ''] = parts;
  return [from === '..' ? '' : from, to === '..' ? '' : to];
}

/** A range in words: “1 Mar – 31 May 2026”, “from 5 min”, “up to 10”. */
export function rangeText(of: RangeOf, value: string, settings: Settings, facet?: FacetSettings): string {
  const [from, to] = endsOf(value);
  const { texts, language } = settings;
  const unit = facet?.unit ? ` ${facet.unit}` : '';
  if (from === '' && to === '') return facet?.presets?.find((preset) => preset.range === value)?.label ?? value;
  const text = (end: string) => endText(of, end, settings);
  if (from === '') return texts.until.replace('{value}', text(to) + unit);
  if (to === '') return texts.since.replace('{value}', text(from) + unit);
  if (from === to) return text(from) + unit;
  if (isFull(of, from) && isFull(of, to)) return formatOf(of, language).formatRange(dateOf(from), dateOf(to));
  return `${text(from)} – ${text(to)}${unit}`;
}

/** One end in words. */
export function endText(of: RangeOf, end: string, { language }: Pick<Settings, 'language'>): string {
  if (of === 'numbers') return figure(language, Number(end));
  // a year or a month alone stands as it is until the answer says its days
  return isFull(of, end) ? formatOf(of, language).format(dateOf(end)) : end;
}

function formatOf(of: RangeOf, language: string): Intl.DateTimeFormat {
  return dayFormat(language, 'UTC', of === 'times' ? 'time' : 'medium');
}

function dateOf(end: string): Date {
  return new Date(isDay(end) ? end : `${end}Z`);
}

/** Whether an end says all that it is of: a day, or a day with its time. */
function isFull(of: RangeOf, end: string): boolean {
  return of === 'times' ? end.includes('T') : of === 'days' && isDay(end);
}

export function isDay(text: string): boolean {
  return /^\d{4}-\d\d-\d\d$/.test(text);
}

/** A day, a month or a year. */
export function isDayOrPart(text: string): boolean {
  return /^\d{4}(-\d\d(-\d\d)?)?$/.test(text);
}
