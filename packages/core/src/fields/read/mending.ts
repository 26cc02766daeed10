import type { Field, Mend, MendRule, Value } from '../../model/post.js';
import { own } from '../../text/own.js';
import { decodeEntities, plainText } from '../../text/plain-text.js';
import { cellText, cellTexts, isEmpty, isObject, type RawRecord } from './cell.js';
import { isSlashedDay, nearestDay, readDay } from '../values/dates.js';
import type { FieldContext } from './prepare.js';

/** What a value is read as, and by which mend. */
export interface Said {
  id: string;
  into: string;
}

/** What is read as what. A mend may lead on to another; one that leads back to itself ends there. */
export function saidBy(mends: readonly Mend[]): Map<string, Said> {
  const direct = new Map(
    mends.flatMap(({ id, rule }) =>
      rule.does === 'read' ? rule.from.map((one): [string, Said] => [one, { id, into: rule.into }]) : [],
    ),
  );
  return new Map(
    [...direct].map(([from, first]): [string, Said] => {
      const seen = new Set([from]);
      let { into } = first;
      while (!seen.has(into) && direct.has(into)) {
        seen.add(into);
        into = direct.get(into)!.into;
      }
      return [from, { id: first.id, into }];
    }),
  );
}

/** What a term stands under, and by which mend. */
export interface Placing {
  id: string;
  under: readonly string[];
}

export function placesOf(mends: readonly Mend[]): Map<string, Placing> {
  return new Map(
    mends.flatMap(({ id, rule }) =>
      rule.does === 'place' ? rule.terms.map((term): [string, Placing] => [term, { id, under: rule.under }]) : [],
    ),
  );
}

/** What is done to a raw value before it is read. */
export interface Step {
  id: string;
  does: (raw: unknown, record: RawRecord) => unknown;
}

export function stepOf(rule: MendRule, field: Field): Omit<Step, 'id'> | null {
  const does = changeBefore(rule, field.separator);
  return does && { does };
}

function changeBefore(rule: MendRule, separator: string | null): Step['does'] | null {
  if (rule.does === 'fill') return (raw) => (isEmpty(raw) ? rule.with : raw);
  if (rule.does === 'fallback') {
    return (raw, record) => {
      const other = own(record, rule.field);
      return isEmpty(raw) && !isEmpty(other) ? other : raw;
    };
  }
  if (rule.does === 'join') {
    return (raw, record) => {
      const more = rule.fields.map((key) => cellText(own(record, key))).filter((text) => text !== '');
      return more.length === 0 ? raw : [cellText(raw), ...more].join(separator ?? ', ');
    };
  }
  const change = changeOfTexts(rule);
  return change && ((raw) => inTexts(raw, change));
}

function changeOfTexts(rule: MendRule): ((text: string) => string) | null {
  if (rule.does === 'strip') return (text) => (/[<&]/.test(text) ? plainText(text) : text);
  if (rule.does === 'decode') return (text) => (text.includes('&') ? decodeEntities(text) : text);
  return rule.does === 'prefix' ? (text) => (isBareAddress(text) ? rule.with + text.trim() : text) : null;
}

/** Whether a mend that says how a field is read as a whole matters to a value. */
export interface Touching {
  id: string;
  touches: (raw: unknown) => boolean;
}

export function touchedBy(rule: MendRule, { separator, by }: Field): Touching['touches'] | null {
  if (rule.does === 'by') return (raw) => (Array.isArray(raw) ? raw : [raw]).some(isObject);
  if (rule.does === 'order' && rule.as !== 'either') return (raw) => isSlashedDay(cellText(raw));
  if (rule.does !== 'top') return null;
  const tops = new Set(rule.terms);
  return (raw) => !isEmpty(raw) && cellTexts(raw, separator, by).some((text) => tops.has(text));
}

/** A raw value with something done to its texts; the same one where nothing came of it. */
function inTexts(raw: unknown, change: (text: string) => string): unknown {
  if (typeof raw === 'string') return change(raw);
  if (!Array.isArray(raw)) return raw;
  const made = raw.map((one: unknown) => (typeof one === 'string' ? change(one) : one));
  return made.some((one, i) => one !== raw[i]) ? made : raw;
}

/** Whether a text is an address of the web that lacks what such begin with. */
export function isBareAddress(text: string): boolean {
  return text.length < 2000 && /^(?:www\.|(?:[a-z\d-]{1,63}\.){1,5}[a-z]{2,12}(?=[/?#]|$))[^\s@]*$/i.test(text.trim());
}

/** What is tried on a value that can't be read. */
export interface Retry {
  id: string;
  again: (text: string) => Value | null;
}

export function retryOf(
  rule: MendRule,
  { type }: Field,
  { dayFirst }: FieldContext,
  parse: (raw: unknown) => Value | null,
): Retry['again'] | null {
  if (rule.does === 'figures') return (text) => parse(asFigures(text));
  if (type !== 'date') return null;
  if (rule.does === 'last-day') return (text) => readDay(text, dayFirst, nearestDay);
  return rule.does === 'order' && rule.as === 'either' ? (text) => readDay(text, !dayFirst) : null;
}

/** A text with letters that are taken for figures as those. */
export function asFigures(text: string): string {
  return text.replace(/[oO]/g, '0').replace(/[lI|]/g, '1');
}
