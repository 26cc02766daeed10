import type { Collection, Field, Post, Term, Value } from '../model/post.js';
import { fieldWithRole } from '../model/post.js';
import { cellText, cellTexts, isEmpty, readBoolean, readNumber, type RawRecord } from './cell.js';
import { readDay, readMoment, readsDayFirst } from './dates.js';
import { Taxonomy } from './taxonomy.js';

/** A record that did not become a post, or a value that could not be read. */
export interface Rejection {
  /** Number of the record in its file, from 1. */
  record: number;
  reason: string;
}

export interface Finding {
  code: 'unreadable-values' | 'near-twins' | 'gaps';
  field: string;
  /** How many posts it touches. */
  posts: number;
  /** Up to eight of the values as they came. */
  values: string[];
  /** One sentence for people. */
  text: string;
}

export interface PostReading extends Collection {
  rejected: Rejection[];
  findings: Finding[];
}

/**
 * Makes posts of records, by the types their fields have. A value that can't be read is left out and told as a
 * finding; a record with no value at all, or with an id that was there before, is rejected.
 * @param known  terms that exist already, by field, so that slugs stay the same when a file is brought in again
 */
export function readPosts(
  records: readonly RawRecord[],
  fields: readonly Field[],
  known: Record<string, readonly Term[]> = {},
): PostReading {
  const readers = fields.map((field) => fieldReader(field, records, known[field.key]));
  const idField = fieldWithRole(fields, 'id') ?? fieldWithRole(fields, 'link');
  const posts: Post[] = [];
  const ids = new Set<string>();
  const rejected: Rejection[] = [];
  records.forEach((record, i) => {
    if (fields.every((field) => isEmpty(record[field.key]))) {
      rejected.push({ record: i + 1, reason: 'It has no value in any field.' });
      return;
    }
    const id = (idField && cellText(record[idField.key]).slice(0, 500)) || `post-${i + 1}`;
    if (ids.has(id)) {
      rejected.push({ record: i + 1, reason: `Its id “${id}” is taken by an earlier post.` });
      return;
    }
    ids.add(id);
    const values: Record<string, Value> = {};
    for (const reader of readers) {
      const value = reader.read(record[reader.field.key]);
      if (value !== undefined) values[reader.field.key] = value;
    }
    posts.push({ id, values });
  });
  const taxonomies = Object.fromEntries(
    readers.flatMap(({ field, taxonomy }) => (taxonomy ? [[field.key, taxonomy.terms]] : [])),
  );
  const findings = readers.flatMap((reader) => reader.findings(posts.length));
  return { fields: [...fields], taxonomies, posts, rejected, findings };
}

interface FieldReader {
  field: Field;
  taxonomy: Taxonomy | null;
  read(raw: unknown): Value | undefined;
  findings(posts: number): Finding[];
}

function fieldReader(field: Field, records: readonly RawRecord[], known: readonly Term[] | undefined): FieldReader {
  const taxonomy = field.type === 'terms' ? new Taxonomy(known) : null;
  const parse = parser(field, records, taxonomy);
  const unreadable: string[] = [];
  let filled = 0;
  return {
    field,
    taxonomy,
    read(raw) {
      if (isEmpty(raw)) return undefined;
      const value = parse(raw);
      if (value === null) unreadable.push(cellText(raw));
      else filled++;
      return value ?? undefined;
    },
    findings(posts) {
      const found: Finding[] = [];
      if (unreadable.length > 0) found.push(unreadableValues(field, unreadable));
      if (taxonomy) found.push(...nearTwins(field, taxonomy.terms));
      const gaps = posts - filled - unreadable.length;
      if (gaps > 0 && filled > 0) {
        const text = gaps === 1 ? 'One post has nothing here.' : `${gaps} posts have nothing here.`;
        found.push({ code: 'gaps', field: field.key, posts: gaps, values: [], text });
      }
      return found;
    },
  };
}

function unreadableValues(field: Field, values: readonly string[]): Finding {
  const noun = field.type === 'date' || field.type === 'datetime' ? 'date' : 'value';
  return {
    code: 'unreadable-values',
    field: field.key,
    posts: values.length,
    values: [...new Set(values)].slice(0, 8),
    text: values.length === 1 ? `One ${noun} cannot be read.` : `${values.length} ${noun}s cannot be read.`,
  };
}

/** Terms on one branch that differ only in case, spaces, marks or punctuation. */
function nearTwins(field: Field, terms: readonly Term[]): Finding[] {
  const groups = new Map<string, Term[]>();
  for (const term of terms) {
    const bare = term.label
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '');
    const key = `${term.parent ?? ''}\u0000${bare}`;
    groups.set(key, [...(groups.get(key) ?? []), term]);
  }
  return [...groups.values()]
    .filter((group) => group.length > 1)
    .map((group): Finding => ({
      code: 'near-twins',
      field: field.key,
      posts: 0,
      values: group.map((term) => term.label).slice(0, 8),
      text: `${group.length} spellings may be one term.`,
    }));
}

/** What turns a raw value into a typed one; null when it can't be read. */
function parser(
  field: Field,
  records: readonly RawRecord[],
  taxonomy: Taxonomy | null,
): (raw: unknown) => Value | null {
  switch (field.type) {
    case 'terms':
      return (raw) => {
        const slugs = cellTexts(raw, field.separator).map((text) => taxonomy!.place(pathLabels(text, field)));
        return slugs.length === 0 ? null : [...new Set(slugs)];
      };
    case 'number':
      return readNumber;
    case 'boolean':
      return readBoolean;
    case 'date': {
      const dayFirst = readsDayFirst(records.map((record) => cellText(record[field.key])));
      return (raw) => readDay(cellText(raw), dayFirst);
    }
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

/** A link or picture address that is safe to draw: http, https, or within the site. */
function safeAddress(text: string): string | null {
  return /^[a-z][a-z0-9+.-]*:/i.test(text) && !/^https?:/i.test(text) ? null : text || null;
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
