import type { Field, MendOffer } from '../../model/post.js';
import type { FieldContext } from '../read/prepare.js';
import type { FieldEnd, Watcher } from '../read/record-reader.js';

/** What was found wrong with the values of a field. */
export interface Finding {
  /** Tells it from every other of its source, whenever the values are read. */
  id: string;
  code: string;
  field: string;
  /** How many posts it touches. */
  posts: number;
  /** Up to eight of the values as they came. */
  values: string[];
  /** One sentence for people. */
  text: string;
  /** What can be done about it by a rule, the advised one first. */
  mends: MendOffer[];
}

/** One sort of things that can be wrong with values. */
export interface FindingKind {
  /** The codes its findings bear. */
  codes: readonly string[];
  /** Watches over a field; null where it can't be wrong in this way. */
  watch: (field: Field, context: FieldContext) => Watcher<Finding> | null;
}

/** Findings kept of a source: nobody reads a thousand, and every reader of the source is sent all. */
export const maxFindings = 1000;
/** Values shown of a finding, and how long each is at most. */
export const shownValues = 8;
const longestShown = 500;

/** Values that one rule names at most, and how long each is: rules are kept with every field. */
export const mostWritten = 500;
export const longestWritten = 500;

interface Said {
  code: string;
  field: Pick<Field, 'key'>;
  posts: number;
  values?: Iterable<string>;
  text: string;
  mends?: MendOffer[];
  /** What tells it from others of its code and field. */
  of?: string;
}

export function makeFinding({ code, field, posts, values = [], text, mends = [], of }: Said): Finding {
  const shown = [...values].slice(0, shownValues).map((value) => value.slice(0, longestShown));
  const id = [code, field.key, ...(of === undefined ? [] : [of])].join('~');
  return { id, code, field: field.key, posts, values: shown, text, mends };
}

/** That it is meant as it is. */
export function keepAs(text: string): MendOffer {
  return { id: 'keep', text, rule: { does: 'keep' } };
}

/** A number of things in words: one of them, or so many. */
export function some(count: number, one: string, many: string): string {
  return count === 1 ? one : many.replace('#', String(count));
}

/** Watches that only look at the end. */
export function atEnd(found: (end: FieldEnd) => Finding[]): Watcher<Finding> {
  return { see: () => {}, found };
}

/** Values that come along, up to as many as are shown, and how many there were. */
export class Sample {
  readonly values = new Set<string>();
  count = 0;

  add(value: string): void {
    this.count++;
    if (this.values.size < shownValues) this.values.add(value);
  }
}
