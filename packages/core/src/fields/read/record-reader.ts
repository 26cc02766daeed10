import { answered, holdsTerms, livingTerms, type Field, type Mend, type Term, type Value } from '../../model/post.js';
import { own } from '../../text/own.js';
import type { RawRecord } from './cell.js';
import { Leaver } from './leaver.js';
import { FieldParser } from './parse.js';
import type { FieldContext } from './prepare.js';
import { Taxonomy, type TermOrder } from './taxonomy.js';

/** Sees all values of a field while they are read, and tells what is wrong with them. */
export interface Watcher<Found> {
  see(raw: unknown, value: Value | undefined, isUnreadable: boolean, record: RawRecord): void;
  found(end: FieldEnd): Found[];
}

/** Makes what watches over a field; none where nothing can be wrong with it. */
export type Watch<Found> = (field: Field, context: FieldContext) => Watcher<Found>[];

/** What is known of a field once all records were read. */
export interface FieldEnd {
  field: Field;
  context: FieldContext;
  /** Posts that were read. */
  posts: number;
  terms: readonly Term[];
  /** By slug: posts that have just that term. */
  counts: ReadonlyMap<string, number>;
  /** Of the field posts are known by: those left out because their id was taken. */
  repeated: { posts: number; values: readonly string[] };
}

/** What a record holds, or which fields have it left out. */
export interface ReadRecord {
  values: Record<string, Value>;
  /** Keys of the fields that have the post left out. */
  left: string[];
}

/** Reads records one by one, by what is known of their fields. */
export class RecordReader<Found> {
  readonly #readers: readonly FieldReader<Found>[];
  readonly #leavers: readonly Leaver[];
  #posts = 0;

  /**
   * @param contexts  what all records together tell of each field
   * @param known     terms that exist already, by field, so that slugs stay the same when a file is brought in again
   * @param watch     what is wrong with values is told by these
   * @param order     whether known terms stand where they stood, or terms where they are found first
   */
  constructor(
    fields: readonly Field[],
    contexts: ReadonlyMap<string, FieldContext>,
    known: Readonly<Record<string, readonly Term[]>>,
    watch: Watch<Found>,
    order: TermOrder = 'kept',
  ) {
    const used = answered(fields);
    this.#readers = used.map(
      (field) => new FieldReader(field, contexts.get(field.key)!, own(known, field.key), watch, order),
    );
    // by its id a post is told from all others first
    const byId = [...used].sort((a, b) => Number(b.role === 'id') - Number(a.role === 'id'));
    this.#leavers = byId.flatMap((field) => Leaver.of(field, contexts.get(field.key)!) ?? []);
  }

  /** @param isLeft  whether fields that are not read here have it left out */
  read(record: RawRecord, isLeft = false): ReadRecord {
    // one that is left out already is no twin of those that stay
    const leaver = isLeft ? undefined : this.#leavers.find((one) => one.leaves(record));
    const left = leaver ? [leaver.field.key] : [];
    const values: Record<string, Value> = {};
    if (isLeft || left.length > 0) return { values, left };
    this.#posts++;
    for (const reader of this.#readers) {
      const value = reader.read(record);
      if (value !== undefined) values[reader.field.key] = value;
    }
    return { values, left };
  }

  /** Tells that a value had characters that can’t be kept. */
  lose(key: string): void {
    const reader = this.#readers.find(({ field }) => field.key === key);
    if (reader) reader.lost++;
  }

  /** The terms of each field that has some, those that are gone included. */
  get taxonomies(): Record<string, Term[]> {
    return Object.fromEntries(
      this.#readers.flatMap(({ field, taxonomy }) => (taxonomy ? [[field.key, taxonomy.terms]] : [])),
    );
  }

  /** What was found wrong, field by field. */
  findings(lost: (field: Field, posts: number) => Found): Found[] {
    return this.#readers.flatMap((reader) => {
      const leaver = this.#leavers.find(({ field }) => field.key === reader.field.key);
      const found = reader.found(this.#posts, leaver ?? null);
      return reader.lost > 0 ? [...found, lost(reader.field, reader.lost)] : found;
    });
  }

  /** The mends of a field, each with how many values it made another, or posts it left out. */
  mendsOf(key: string): Mend[] | undefined {
    const leaver = this.#leavers.find(({ field }) => field.key === key);
    return this.#readers.find(({ field }) => field.key === key)?.mends(leaver?.repeated.posts ?? 0);
  }
}

class FieldReader<Found> {
  readonly taxonomy: Taxonomy | null;
  /** Posts whose value had characters that can't be kept. */
  lost = 0;
  readonly #parser: FieldParser;
  readonly #watchers: readonly Watcher<Found>[];
  readonly #counts = new Map<string, number>();

  constructor(
    readonly field: Field,
    private readonly context: FieldContext,
    known: readonly Term[] | undefined,
    watch: Watch<Found>,
    order: TermOrder,
  ) {
    this.taxonomy = holdsTerms(field) ? new Taxonomy(known, order) : null;
    this.#parser = new FieldParser(field, context, this.taxonomy);
    this.#watchers = watch(field, context);
  }

  mends(repeated: number): Mend[] | undefined {
    const { used } = this.#parser;
    const ofPosts = ({ rule }: Mend) => rule.does === 'leave' || rule.does === 'number';
    return this.field.mends?.map((mend) => ({ ...mend, used: ofPosts(mend) ? repeated : (used.get(mend.id) ?? 0) }));
  }

  read(record: RawRecord): Value | undefined {
    const raw = own(record, this.field.key);
    const read = this.#parser.read(record);
    const value = read ?? undefined;
    for (const watcher of this.#watchers) watcher.see(raw, value, read === null, record);
    if (this.taxonomy && Array.isArray(value)) {
      for (const slug of value) this.#counts.set(slug, (this.#counts.get(slug) ?? 0) + 1);
    }
    return value;
  }

  found(posts: number, leaver: Leaver | null): Found[] {
    const { field, context } = this;
    const repeated = leaver?.repeated ?? { posts: 0, values: [] };
    const terms = livingTerms(this.taxonomy?.terms ?? []);
    const end: FieldEnd = { field, context, posts, terms, counts: this.#counts, repeated };
    return this.#watchers.flatMap((watcher) => watcher.found(end));
  }
}
