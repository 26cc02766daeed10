import {
  fieldTypes,
  fieldWithRole,
  hasTerms,
  holdsTerms,
  type Answers,
  type DateOrder,
  type Field,
  type FieldRole,
  type FieldType,
  type Mend,
  type Post,
  type Reference,
  type Term,
} from '../model/post.js';
import type { Finding } from './findings/finding.js';
import { watchFor } from './findings/kinds.js';
import { own } from '../text/own.js';
import { cellText, isEmpty, type RawRecord, type Records } from './read/cell.js';
import { isAddress } from './discover.js';
import { FieldDescriber, type FieldDescription } from './describe.js';
import { decimalOf } from './values/numbers.js';
import { withoutUnit } from './values/units.js';
import { prepareFields, type References } from './read/prepare.js';
import { RecordReader } from './read/record-reader.js';
import { summarise } from './summary.js';

/** What someone says of a field in place of what was found. */
export interface FieldChange {
  type?: FieldType;
  role?: FieldRole | null;
  label?: string;
  separator?: string | null;
  pathSeparator?: string | null;
  /** Null: as the values look. */
  dateOrder?: DateOrder | null;
  /** Field that names the term above; null: none does. */
  parent?: string | null;
  /** Field that its spans end by. */
  end?: string | null;
  /** What stands around its numbers. */
  unit?: string | null;
  /** Words of its own for yes and no. */
  words?: Answers | null;
  reference?: Reference | null;
  /** What objects go by. */
  by?: string | null;
  left?: boolean;
  mends?: Mend[];
}

/** A field with what was said of it; what only some types have goes with the type. */
export function changedField(field: Field, change: FieldChange): Field {
  const reference = or(change.reference, field.reference ?? null);
  const { role = field.role, label = field.label } = change;
  const type = change.reference
    ? 'reference'
    : (change.type ?? (reference === null && field.type === 'reference' ? 'terms' : field.type));
  const isTerms = type === 'terms';
  const isList = isTerms || type === 'reference';
  const only = <T>(is: boolean, said: T | null | undefined, before: T | undefined): T | null =>
    is ? or(said, before ?? null) : null;
  const separator = isList ? or(change.separator, field.separator) : null;
  const pathSeparator = isTerms ? or(change.pathSeparator, field.pathSeparator) : null;
  const parent = pathSeparator === null ? only(isTerms, change.parent, field.parent) : null;
  const isNestedTree = isTerms && field.tree && field.pathSeparator === null && field.parent === undefined;
  const left = change.left ?? field.left ?? false;
  const mends = change.mends ?? field.mends ?? [];
  const isDays = type === 'date' || type === 'datetime';
  const more = {
    dateOrder: only(type === 'date', change.dateOrder, field.dateOrder),
    unit: only(type === 'number', change.unit, field.unit),
    words: only(type === 'boolean', change.words, field.words),
    parent,
    end: only(isDays, change.end, field.end),
    reference: type === 'reference' ? reference : null,
    by: or(change.by, field.by ?? null),
    beyond: field.beyond ?? null,
    because: field.because ?? null,
    sureness: field.sureness ?? null,
  };
  const said = Object.fromEntries(Object.entries(more).filter(([, value]) => value !== null)) as Partial<Field>;
  return {
    key: field.key,
    label,
    type,
    role,
    multiple: isList && (separator !== null || field.multiple),
    tree: pathSeparator !== null || parent !== null || (isNestedTree && pathSeparator === null),
    separator,
    pathSeparator,
    ...said,
    ...(left && { left }),
    ...(mends.length > 0 && { mends }),
  };
}

function or<T>(said: T | undefined, before: T): T {
  return said === undefined ? before : said;
}

type Known = Readonly<Record<string, readonly Term[]>>;

/** What reading fields anew goes by. */
export interface Rereading {
  /** All fields of the source, as they are to be. */
  fields: readonly Field[];
  /** Keys of those that are read. */
  keys: readonly string[];
  /** The day it is, `YYYY-MM-DD`. */
  today: string;
  references?: References;
  /** Terms there are, by field: those found again keep their slugs. */
  known?: Known;
  /** Of those, the ones no post has: they stay. */
  retired?: Known;
  /** Whether a post is left out by a field that is not read. */
  isLeft?: (record: number) => boolean;
  /** Keys of the fields of which a person says how they are read. */
  said?: readonly string[];
}

/** Fields read anew from the raw values. */
export interface Reread {
  descriptions: FieldDescription[];
  /** Per record, in order: what it has in these fields. */
  values: Post['values'][];
  /** Per record: keys of these fields that have it left out. */
  left: string[][];
  /** By field. */
  terms: Record<string, Term[]>;
  findings: Finding[];
}

/** Reads fields of all records anew. The raw values stay, so that nothing is ever read twice wrongly. */
export function rereadFields(records: Records, rereading: Rereading): Reread {
  const { fields: all, keys, today, references = {}, known = {}, retired = {}, isLeft = () => false } = rereading;
  const fields = all.filter(({ key }) => keys.includes(key)).map((field) => asWritten(field, records));
  const idField = fieldWithRole(all, 'id');
  const withId = idField && !keys.includes(idField.key) ? [...fields, { ...idField, left: true }] : fields;
  const contexts = prepareFields(records, withId, references);
  const reader = new RecordReader(fields, contexts, known, watchFor({ fields: all, today }), 'found');
  const describer = new FieldDescriber(fields);
  const values: Reread['values'] = [];
  const left: Reread['left'] = [];
  let i = 0;
  for (const record of records) {
    const read = reader.read(record, isLeft(i++));
    values.push(read.values);
    left.push(read.left);
    describer.add({ id: '', values: read.values });
  }
  const { fields: descriptions, findings, terms } = summarise(reader, describer, rereading.said);
  return { descriptions, values, left, terms: withRetired(terms, retired), findings };
}

/** Terms with those that no post had before either: addresses that name them still read. */
function withRetired(terms: Record<string, Term[]>, retired: Known): Record<string, Term[]> {
  return Object.fromEntries(
    Object.entries(terms).map(([key, found]) => {
      const slugs = new Set(found.map(({ slug }) => slug));
      const rest = (own(retired, key) ?? []).filter(({ slug }) => !slugs.has(slug));
      for (const { slug } of rest) slugs.add(slug);
      const kept = rest.map((term) =>
        term.parent !== null && slugs.has(term.parent) ? term : { ...term, parent: null },
      );
      return [key, [...found, ...kept]];
    }),
  );
}

/** A field with what only its values tell: the decimal sign of numbers, and whether several terms came as a list. */
export function asWritten({ decimal: _before, ...field }: Field, records: Records): Field {
  if (holdsTerms(field)) {
    const isList = [...records].some((record) => Array.isArray(own(record, field.key)));
    return { ...field, multiple: field.separator !== null || isList };
  }
  if (field.type !== 'number') return field;
  const texts = Array.from(records, (record) => {
    const text = cellText(own(record, field.key));
    return field.unit === undefined ? text : withoutUnit(text, field.unit);
  });
  return decimalOf(texts) === ',' ? { ...field, decimal: ',' } : field;
}

/** How many values of a field each type could read. */
export function readableAs(field: Field, records: Records): Record<string, number> {
  const filled: RawRecord[] = [];
  for (const record of records) if (!isEmpty(own(record, field.key))) filled.push(record);
  const addresses = filled.filter((record) => isAddress(cellText(own(record, field.key)))).length;
  return Object.fromEntries(
    fieldTypes.flatMap((type): [string, number][] => {
      // what a reference could read depends on what it is to refer to
      if (type === 'reference') return [];
      // any text could be where something is; what is meant is what looks like it
      if (type === 'link' || type === 'image') return [[type, addresses]];
      const as = changedField(
        { ...field, role: null },
        { type, left: false, parent: null, reference: null, mends: [] },
      );
      const { values } = rereadFields(filled, { fields: [as], keys: [as.key], today: '9999-12-31' });
      return [[type, values.filter((one) => own(one, as.key) !== undefined).length]];
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
