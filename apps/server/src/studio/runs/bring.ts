import {
  asWritten,
  cellText,
  changedField,
  discoverFields,
  FieldDescriber,
  fieldWithRole,
  PostReader,
  prepareFields,
  summarise,
  watchFor,
  type Field,
  type FieldDescription,
  type Post,
  type RawRecord,
  type Records,
  type References,
  type Rejection,
  type Summary,
  type Term,
} from '@ivy/core';
import { isDeepStrictEqual } from 'node:util';

/** A post as it is kept. */
export interface KeptPost {
  id: string;
  position: number;
  raw: RawRecord;
  values: Post['values'];
  leftBy: string[];
}

/** A record that is to be a post: under the id it has already, where it has one. */
export interface NextRecord {
  raw: RawRecord;
  id?: string;
  /** Where it stood, if it comes back. */
  position?: number;
}

/** How a post differs from what is kept: the fields whose values came otherwise. */
export interface PostChange {
  id: string;
  change: 'added' | 'changed' | 'removed';
  fields: string[];
}

/** All a source is to be. */
export interface Brought extends Summary {
  rejected: Rejection[];
  /** Posts that are to be written: new ones, and those of which something is another. */
  written: KeptPost[];
  changes: PostChange[];
  unchanged: number;
  /** Posts there are then, and of them those that are answered. */
  posts: KeptPost[];
  answered: number;
}

/** What fields there are once records came: those there were, as they are read, and what is new. */
export function fieldsWith(before: readonly FieldDescription[], records: Records): Field[] {
  const known = before.map((field) => changedField(field, {}));
  const keys = new Set(known.map(({ key }) => key));
  const roles = new Set(known.map(({ role }) => role));
  const found = discoverFields(records).filter(({ key }) => !keys.has(key));
  // a role belongs to one field, and that is the one that has it
  return [...known, ...found.map((field) => (roles.has(field.role) ? { ...field, role: null } : field))];
}

/** What a record goes by, where it says so. */
export function idOf(record: RawRecord, fields: readonly Field[]): string {
  const field = fieldWithRole(fields, 'id') ?? fieldWithRole(fields, 'link');
  return cellText(record[field?.key ?? 'id']).slice(0, 500);
}

/**
 * Reads all records a source is to have, by its fields with their mends, and tells what is another than it was.
 * @param kept      the posts there are, by id
 * @param records   all there are to be, in their order
 * @param known     terms there are, which keep their slugs
 */
export function bring(
  kept: ReadonlyMap<string, KeptPost>,
  asked: readonly Field[],
  records: readonly NextRecord[],
  known: Record<string, Term[]>,
  { today, references }: { today: string; references: References },
): Brought {
  const raws: Records = Object.assign(
    records.map(({ raw }) => raw),
    { names: asked.map(({ key }) => key) },
  );
  const fields = asked.map((field) => asWritten(field, raws));
  const contexts = prepareFields(raws, fields, references);
  const reader = new PostReader(fields, contexts, known, watchFor({ fields, today }));
  const describer = new FieldDescriber(fields);
  const posts: KeptPost[] = [];
  const compared = new Comparison(kept, fields);
  let next = 1 + [...kept.values()].reduce((most, { position }) => Math.max(most, position), -1);
  for (const { raw: record, id, position } of records) {
    const read = reader.read(record, id);
    if (!read) continue;
    const { post, raw, left } = read;
    const before = kept.get(post.id);
    const place = before?.position ?? position ?? next++;
    const now: KeptPost = { id: post.id, position: place, raw, values: post.values, leftBy: left };
    posts.push(now);
    if (left.length === 0) describer.add(post);
    compared.add(now);
  }
  return {
    ...summarise(reader.records, describer),
    rejected: reader.rejected,
    ...compared.finish(),
    posts,
    answered: reader.posts,
  };
}

/** Tells posts that are another than they were, and those that are gone. */
export class Comparison {
  readonly #written: KeptPost[] = [];
  readonly #changes: PostChange[] = [];
  readonly #ids = new Set<string>();
  #unchanged = 0;

  /** @param kept  the posts that are compared, by id */
  constructor(
    private readonly kept: ReadonlyMap<string, KeptPost>,
    private readonly fields: readonly Field[],
  ) {}

  add(now: KeptPost): void {
    const { id } = now;
    const before = this.kept.get(id);
    const other = before ? otherFields(before.raw, now.raw, this.fields) : [];
    const isSame = before && isDeepStrictEqual([before.values, before.leftBy], [now.values, now.leftBy]);
    if (!before) this.#changes.push({ id, change: 'added', fields: [] });
    else if (other.length > 0) this.#changes.push({ id, change: 'changed', fields: other });
    else this.#unchanged++;
    if (!isSame || other.length > 0) this.#written.push(now);
    this.#ids.add(id);
  }

  finish(): Pick<Brought, 'written' | 'changes' | 'unchanged'> {
    const gone = [...this.kept.keys()].filter((id) => !this.#ids.has(id));
    const removed = gone.map((id): PostChange => ({ id, change: 'removed', fields: [] }));
    return { written: this.#written, changes: [...this.#changes, ...removed], unchanged: this.#unchanged };
  }
}

function otherFields(before: RawRecord, after: RawRecord, fields: readonly Field[]): string[] {
  return fields.flatMap(({ key }) => (isDeepStrictEqual(valueOf(before, key), valueOf(after, key)) ? [] : [key]));
}

/** Nothing is nothing, whether a cell is empty or not there; and a number is the same however a format writes it. */
function valueOf(record: RawRecord, key: string): unknown {
  const value = Object.hasOwn(record, key) ? record[key] : undefined;
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  return value === '' || value === null ? undefined : value;
}
