/** A record as a reader of some format gives it: values by field name, before anything is known of types. */
export type RawRecord = Record<string, unknown>;

/** The records of a file. They can be gone through several times, and need not be in memory all at once. */
export interface Records extends Iterable<RawRecord> {
  readonly length: number;
  /** The names of all fields, where they are known without going through the records. */
  readonly names?: readonly string[];
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

/** A raw value as one line of text: what a person would see in the cell. */
export function cellText(raw: unknown): string {
  if (typeof raw === 'string') {
    const text = raw.trim();
    // most are on one line already
    return /[^\S ]| {2}/.test(text) ? text.replace(/\s+/g, ' ') : text;
  }
  if (typeof raw === 'number' || typeof raw === 'boolean') return String(raw);
  if (Array.isArray(raw)) return raw.map(cellText).filter(Boolean).join(' | ');
  return isObject(raw) ? nameOf(raw) : '';
}

/** The texts a raw value holds: the entries of a list, or the one value. */
export function cellTexts(raw: unknown, separator: string | null): string[] {
  const parts = Array.isArray(raw) ? raw.map(cellText) : splitCell(cellText(raw), separator);
  return parts.map((part) => part.trim()).filter((part) => part !== '');
}

function splitCell(text: string, separator: string | null): string[] {
  return separator === null ? [text] : text.split(separator);
}

function isObject(raw: unknown): raw is Record<string, unknown> {
  return typeof raw === 'object' && raw !== null;
}

/** An object among values (a term, an author, a picture) goes by its name. */
function nameOf(raw: Record<string, unknown>): string {
  for (const key of ['name', 'label', 'title', 'url', 'src', 'href', 'slug', 'id']) {
    const value = raw[key];
    if (typeof value === 'string' || typeof value === 'number') return String(value).trim();
  }
  return '';
}
