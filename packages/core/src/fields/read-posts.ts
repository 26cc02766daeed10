import {
  answered,
  fieldWithRole,
  type Collection,
  type Field,
  type Post,
  type Term,
  type Value,
} from '../model/post.js';
import { cleanValue } from '../text/clean-text.js';
import { own } from '../text/own.js';
import { safeAddress } from '../text/safe-address.js';
import { cellText, cellTexts, isEmpty, type RawRecord, type Records } from './cell.js';
import { DayOrder, readDay, readMoment, type DayFirst } from './dates.js';
import { lostCharacters, maxFindings, nearTwins, unreadableValues, type Finding } from './findings.js';
import { readNumber } from './numbers.js';
import { Taxonomy } from './taxonomy.js';
import { readBoolean } from './yes-or-no.js';

/** A record that did not become a post, or a value that could not be read. */
export interface Rejection {
  /** Number of the record in its file, from 1. */
  record: number;
  reason: string;
}

export interface PostReading extends Collection {
  rejected: Rejection[];
  findings: Finding[];
}

/** Rejections that are kept; of more, the first tell enough. */
export const maxRejections = 1000;

/** A post, and the record it was read from as it is kept. */
export interface ReadPost {
  post: Post;
  raw: RawRecord;
}

/** What a reading reports when all its records were read. */
export type ReadingEnd = Pick<PostReading, 'taxonomies' | 'rejected' | 'findings'> & { posts: number };

/**
 * Makes posts of records one by one, by the types their fields have, so that they need not be in memory all at once. A
 * value that can't be read is left out and told as a finding; a record with no value at all, or with an id that was
 * there before, is rejected.
 */
export class PostReader {
  readonly #readers: readonly FieldReader[];
  readonly #idField: Field | undefined;
  readonly #ids = new Set<string>();
  readonly #rejected: Rejection[] = [];
  #record = 0;

  /**
   * @param dayFirst  how each field writes its slashed days
   * @param known     terms that exist already, by field, so that slugs stay the same when a file is brought in again
   */
  constructor(
    private readonly fields: readonly Field[],
    dayFirst: ReadonlyMap<string, DayFirst>,
    known: Readonly<Record<string, readonly Term[]>> = {},
  ) {
    this.#readers = answered(fields).map(
      (field) => new FieldReader(field, dayFirst.get(field.key) ?? true, own(known, field.key)),
    );
    this.#idField = fieldWithRole(fields, 'id') ?? fieldWithRole(fields, 'link');
  }

  /** @returns null for a record that is rejected */
  read(record: RawRecord): ReadPost | null {
    const number = ++this.#record;
    if (this.fields.every(({ key }) => isEmpty(own(record, key)))) {
      return this.#reject(number, 'It has no value in any field.');
    }
    const raw = this.#cleaned(record);
    const id = (this.#idField && cellText(own(raw, this.#idField.key)).slice(0, 500)) || `post-${number}`;
    if (this.#ids.has(id)) return this.#reject(number, `Its id “${id}” is taken by an earlier post.`);
    this.#ids.add(id);
    const values: Record<string, Value> = {};
    for (const reader of this.#readers) {
      const value = reader.read(own(raw, reader.field.key));
      if (value !== undefined) values[reader.field.key] = value;
    }
    return { post: { id, values }, raw };
  }

  finish(): ReadingEnd {
    const posts = this.#ids.size;
    const taxonomies = Object.fromEntries(
      this.#readers.flatMap(({ field, taxonomy }) => (taxonomy ? [[field.key, taxonomy.terms]] : [])),
    );
    const findings = this.#readers.flatMap((reader) => reader.findings(posts)).slice(0, maxFindings);
    return { posts, taxonomies, rejected: this.#rejected, findings };
  }

  #reject(record: number, reason: string): null {
    if (this.#rejected.length < maxRejections) this.#rejected.push({ record, reason });
    return null;
  }

  #cleaned(record: RawRecord): RawRecord {
    const raw = cleanValue(record) as RawRecord;
    if (raw !== record) {
      for (const reader of this.#readers) {
        const { key } = reader.field;
        if (own(raw, key) !== own(record, key)) reader.lost++;
      }
    }
    return raw;
  }
}

/** Makes posts of records, all at once. `known` as for a reader. */
export function readPosts(
  records: Records,
  fields: readonly Field[],
  known: Readonly<Record<string, readonly Term[]>> = {},
): PostReading {
  const reader = new PostReader(fields, dayOrders(records, fields), known);
  const posts: Post[] = [];
  for (const record of records) {
    const read = reader.read(record);
    if (read) posts.push(read.post);
  }
  return { ...reader.finish(), fields: [...fields], posts };
}

/** How each field of days writes those that could be read in two ways. */
export function dayOrders(records: Records, fields: readonly Field[]): Map<string, DayFirst> {
  const days = fields.filter((field) => field.type === 'date');
  const orders = days.flatMap(({ key, dateOrder }): [string, DayOrder][] => (dateOrder ? [] : [[key, new DayOrder()]]));
  if (orders.length > 0) {
    for (const record of records) for (const [key, order] of orders) order.add(cellText(own(record, key)));
  }
  const found = new Map(orders.map(([key, order]) => [key, order.isDayFirst]));
  // what someone said goes before what the values look like
  for (const { key, dateOrder } of days) if (dateOrder) found.set(key, dateOrder === 'day-month');
  return found;
}

/** Values shown of those that can't be read. */
const shownUnreadable = 8;

class FieldReader {
  readonly taxonomy: Taxonomy | null;
  /** Posts whose value had characters that can't be kept. */
  lost = 0;
  readonly #parse: (raw: unknown) => Value | null;
  readonly #unreadable = new Set<string>();
  #unreadableCount = 0;
  #filled = 0;

  constructor(
    readonly field: Field,
    dayFirst: DayFirst,
    known: readonly Term[] | undefined,
  ) {
    this.taxonomy = field.type === 'terms' ? new Taxonomy(known) : null;
    this.#parse = mended(field, parser(field, dayFirst, this.taxonomy));
  }

  read(raw: unknown): Value | undefined {
    if (isEmpty(raw)) return undefined;
    const value = this.#parse(raw);
    if (value !== null) {
      this.#filled++;
      return value;
    }
    this.#unreadableCount++;
    if (this.#unreadable.size < shownUnreadable) this.#unreadable.add(cellText(raw));
    return undefined;
  }

  findings(posts: number): Finding[] {
    const { field } = this;
    const found: Finding[] = [];
    if (this.#unreadableCount > 0) found.push(unreadableValues(field, this.#unreadableCount, [...this.#unreadable]));
    if (this.lost > 0) found.push(lostCharacters(field, this.lost));
    if (this.taxonomy) for (const twins of nearTwins(field, this.taxonomy.terms)) found.push(twins);
    const gaps = posts - this.#filled - this.#unreadableCount;
    if (gaps > 0 && this.#filled > 0) {
      const text = gaps === 1 ? 'One post has nothing here.' : `${gaps} posts have nothing here.`;
      found.push({ code: 'gaps', field: field.key, posts: gaps, values: [], text });
    }
    return found;
  }
}

/** What turns a raw value into a typed one; null when it can't be read. */
function parser(field: Field, dayFirst: DayFirst, taxonomy: Taxonomy | null): (raw: unknown) => Value | null {
  const said = mendsOf(field);
  switch (field.type) {
    case 'terms':
      return (raw) => {
        const slugs = cellTexts(raw, field.separator).map((text) =>
          taxonomy!.place(pathLabels(text, field).map((label) => said.get(label) ?? label)),
        );
        return slugs.length === 0 ? null : [...new Set(slugs)];
      };
    case 'number':
      return (raw) => readNumber(raw, field.decimal);
    case 'boolean':
      return readBoolean;
    case 'date':
      return (raw) => readDay(cellText(raw), dayFirst);
    case 'datetime':
      return (raw) => readMoment(cellText(raw)) ?? readDay(cellText(raw), true);
    case 'html':
    case 'text':
      return (raw) => (typeof raw === 'string' ? raw.trim() : cellText(raw)) || null;
    case 'link':
    case 'image':
      return (raw) => safeAddress(cellText(raw));
  }
}

/** What is read as what. A mend may lead on to another; one that leads back to itself ends there. */
function mendsOf({ mends = [] }: Field): Map<string, string> {
  const direct = new Map(mends.flatMap(({ from, into }) => from.map((one): [string, string] => [one, into])));
  return new Map(
    [...direct.keys()].map((from): [string, string] => {
      const seen = new Set([from]);
      let into = direct.get(from)!;
      while (!seen.has(into) && direct.has(into)) {
        seen.add(into);
        into = direct.get(into)!;
      }
      return [from, into];
    }),
  );
}

/** A parser that reads mended values as what they are mended to; those of terms are mended one by one in it. */
function mended(field: Field, parse: (raw: unknown) => Value | null): (raw: unknown) => Value | null {
  if (!field.mends?.length || field.type === 'terms') return parse;
  const said = mendsOf(field);
  return (raw) => {
    const into = said.get(cellText(raw));
    return parse(into ?? raw);
  };
}

function pathLabels(text: string, field: Field): string[] {
  if (!field.tree || field.pathSeparator === null) return [text];
  const separator = field.pathSeparator === '/' ? ' / ' : field.pathSeparator;
  const labels = text
    .split(separator)
    .map((label) => label.trim())
    .filter((label) => label !== '');
  return labels.length === 0 ? [text] : labels.slice(0, 20);
}
