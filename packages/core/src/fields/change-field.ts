import {
  hasTerms,
  type DateOrder,
  type Field,
  type FieldRole,
  type FieldType,
  type Mend,
  type Post,
  type Term,
} from '../model/post.js';
import { own } from '../text/own.js';
import { cellText, isEmpty, type RawRecord, type Records } from './cell.js';
import { isAddress } from './discover.js';
import { FieldDescriber, type FieldDescription } from './describe.js';
import type { Finding } from './findings.js';
import { decimalOf } from './numbers.js';
import { dayOrders, PostReader } from './read-posts.js';

/** What someone says of a field in place of what was found. */
export interface FieldChange {
  type?: FieldType;
  role?: FieldRole | null;
  label?: string;
  separator?: string | null;
  pathSeparator?: string | null;
  /** Null: as the values look. */
  dateOrder?: DateOrder | null;
  left?: boolean;
  mends?: Mend[];
}

/** Types a field can be changed to. */
export const changeableTypes: readonly FieldType[] = [
  'text',
  'html',
  'terms',
  'date',
  'datetime',
  'number',
  'boolean',
  'link',
  'image',
];

/** A field with what was said of it; what only some types have goes with the type. */
export function changedField(field: Field, change: FieldChange): Field {
  const { type = field.type, role = field.role, label = field.label } = change;
  const isTerms = type === 'terms';
  const separator = isTerms ? or(change.separator, field.separator) : null;
  const pathSeparator = isTerms ? or(change.pathSeparator, field.pathSeparator) : null;
  const dateOrder = type === 'date' ? or(change.dateOrder, field.dateOrder ?? null) : null;
  const left = change.left ?? field.left ?? false;
  const mends = change.mends ?? field.mends ?? [];
  return {
    key: field.key,
    label,
    type,
    role,
    multiple: isTerms && (separator !== null || field.multiple),
    tree: pathSeparator !== null,
    separator,
    pathSeparator,
    ...(dateOrder !== null && { dateOrder }),
    ...(left && { left }),
    ...(mends.length > 0 && { mends }),
  };
}

function or<T>(said: T | undefined, before: T): T {
  return said === undefined ? before : said;
}

/** A field read anew from the raw values. */
export interface Reread {
  description: FieldDescription;
  /** Per record, in order: its value; undefined for none. */
  values: (Post['values'][string] | undefined)[];
  terms: Term[];
  findings: Finding[];
}

/** Reads one field of all records anew. The raw values stay, so that nothing is ever read twice wrongly. */
export function rereadField(asked: Field, records: Records): Reread {
  const field = asWritten(asked, records);
  // a reader tells posts apart by an id or a link and passes over what comes twice: here every value counts
  const reader = new PostReader([{ ...field, role: null }], dayOrders(records, [field]));
  const describer = new FieldDescriber([field]);
  const values: Reread['values'] = [];
  for (const record of records) {
    const post = isEmpty(own(record, field.key))
      ? undefined
      : reader.read({ [field.key]: own(record, field.key) })?.post;
    values.push(post && own(post.values, field.key));
    if (post) describer.add(post);
  }
  const { taxonomies, findings } = reader.finish();
  const gaps = records.length - values.filter((value) => value !== undefined).length;
  return {
    description: describer.describe(taxonomies)[0]!,
    values,
    terms: own(taxonomies, field.key) ?? [],
    findings: field.left ? [] : withGaps(findings, field, gaps, records.length),
  };
}

/** A field with what only its values tell: the decimal sign of numbers, and whether several terms came as a list. */
function asWritten({ decimal: _before, ...field }: Field, records: Records): Field {
  if (field.type === 'terms') {
    const isList = [...records].some((record) => Array.isArray(own(record, field.key)));
    return { ...field, multiple: field.separator !== null || isList };
  }
  if (field.type !== 'number') return field;
  const texts = Array.from(records, (record) => cellText(own(record, field.key)));
  return decimalOf(texts) === ',' ? { ...field, decimal: ',' } : field;
}

/** The reader sees only records that have something: how many have nothing is known here. */
function withGaps(findings: readonly Finding[], field: Field, unread: number, total: number): Finding[] {
  const told = findings.find(({ code }) => code === 'unreadable-values')?.posts ?? 0;
  const gaps = unread - told;
  if (gaps <= 0 || gaps === total) return [...findings];
  const text = gaps === 1 ? 'One post has nothing here.' : `${gaps} posts have nothing here.`;
  return [...findings, { code: 'gaps', field: field.key, posts: gaps, values: [], text }];
}

/** How many values of a field each type could read. */
export function readableAs(field: Field, records: Records): Record<string, number> {
  const filled: RawRecord[] = [];
  for (const record of records) if (!isEmpty(own(record, field.key))) filled.push(record);
  const addresses = filled.filter((record) => isAddress(cellText(own(record, field.key)))).length;
  return Object.fromEntries(
    changeableTypes.map((type) => {
      // any text could be where something is; what is meant is what looks like it
      if (type === 'link' || type === 'image') return [type, addresses];
      const { values } = rereadField(changedField(field, { type, left: false }), filled);
      return [type, values.filter((value) => value !== undefined).length];
    }),
  );
}

/** A value of a field as a person reads it. */
export function writtenValue(
  field: Field,
  value: Post['values'][string] | undefined,
  terms: readonly Term[],
): string | null {
  if (value === undefined) return null;
  if (!hasTerms(field) || !Array.isArray(value))
    return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
  const labels = new Map(terms.map(({ slug, label }) => [slug, label]));
  return value.map((slug) => labels.get(slug) ?? slug).join(' · ');
}

/** A raw value as it stands in its file. */
export const writtenRaw = (raw: unknown): string => cellText(raw).slice(0, 200);
