import { own } from '../../text/own.js';

/** A record as a reader of some format gives it: values by field name, before anything is known of types. */
export type RawRecord = Record<string, unknown>;

/** The records of a file. They can be gone through several times, and need not be in memory all at once. */
export interface Records extends Iterable<RawRecord> {
  readonly length: number;
  /** The names of all fields, where they are known without going through the records. */
  readonly names?: readonly string[];
  /** Of those names, the ones made up for cells that came after the last named one. */
  readonly beyond?: readonly string[];
}

/** Whether a raw value counts as left empty. */
export function isEmpty(raw: unknown): boolean {
  return (
    raw === undefined ||
    raw === null ||
    (typeof raw === 'string' && raw.trim() === '') ||
    (Array.isArray(raw) && raw.every(isEmpty))
  );
}

/**
 * A raw value as one line of text: what a person would see in the cell.
 * @param by  what objects go by, where that is not what most do
 */
export function cellText(raw: unknown, by?: string): string {
  if (typeof raw === 'string') {
    const text = raw.trim();
    // most are on one line already
    return /[^\S ]| {2}/.test(text) ? text.replace(/\s+/g, ' ') : text;
  }
  if (typeof raw === 'number' || typeof raw === 'boolean') return String(raw);
  if (Array.isArray(raw))
    return raw
      .map((one) => cellText(one, by))
      .filter(Boolean)
      .join(' | ');
  return isObject(raw) ? nameOf(raw, by) : '';
}

/** The texts a raw value holds: the entries of a list, or the one value. */
export function cellTexts(raw: unknown, separator: string | null, by?: string): string[] {
  const parts = Array.isArray(raw) ? raw.map((one) => cellText(one, by)) : splitCell(cellText(raw, by), separator);
  return parts.map((part) => part.trim()).filter((part) => part !== '');
}

function splitCell(text: string, separator: string | null): string[] {
  return separator === null ? [text] : text.split(separator);
}

export function isObject(raw: unknown): raw is Record<string, unknown> {
  return typeof raw === 'object' && raw !== null;
}

/** What objects among values (a term, an author, a picture) are called by, the likeliest first. */
export const nameKeys = ['name', 'label', 'title', 'url', 'src', 'href', 'slug', 'id'];

function nameOf(raw: Record<string, unknown>, by: string | undefined): string {
  for (const key of by === undefined ? nameKeys : [by, ...nameKeys]) {
    const value = own(raw, key);
    if (typeof value === 'string' || typeof value === 'number') return String(value).trim();
  }
  return '';
}
