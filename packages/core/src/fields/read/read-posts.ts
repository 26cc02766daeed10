import { fieldWithRole, type Collection, type Field, type Post, type Term } from '../../model/post.js';
import { cleanValue } from '../../text/clean-text.js';
import { own } from '../../text/own.js';
import { cellText, isEmpty, type RawRecord, type Records } from './cell.js';
import { prepareFields, type FieldContext } from './prepare.js';
import { RecordReader, type Watch } from './record-reader.js';

/** A record that did not become a post. */
export interface Rejection {
  /** Number of the record in its file, from 1; 0 for a row that is no record, being broken. */
  record: number;
  /** Line of the file it stands on, where that is known. */
  line?: number;
  reason: string;
  /** Why, for programs. */
  code?: 'no-value' | 'duplicate-id' | 'broken-row';
}

export interface PostReading extends Collection {
  rejected: Rejection[];
}

/** Rejections that are kept; of more, the first tell enough. */
export const maxRejections = 1000;

/** A post, and the record it was read from as it is kept. */
export interface ReadPost {
  post: Post;
  raw: RawRecord;
  /** Place of the record in its file, from 0. */
  position: number;
  /** Keys of the fields that have it left out: it is kept, and not answered. */
  left: string[];
}

/** Tells of nothing. */
const watchNothing = () => [];

/**
 * Makes posts of records one by one, by the types their fields have, so that they need not be in memory all at once. A
 * value that can't be read is left out; a record with no value at all is rejected, and one with an id that was there
 * before is kept under an id of its own, and left out.
 */
export class PostReader<Found = never> {
  readonly #records: RecordReader<Found>;
  readonly #idField: Field | undefined;
  readonly #ids = new Set<string>();
  /** By id: the number tried last, so that a thousandth namesake does not try all before its own. */
  readonly #numbers = new Map<string, number>();
  readonly #rejected: Rejection[] = [];
  #record = 0;
  #left = 0;

  /**
   * @param contexts  what all records together tell of each field
   * @param known     terms that exist already, by field, so that slugs stay the same when a file is brought in again
   * @param watch     what is wrong with values is told by these
   */
  constructor(
    private readonly fields: readonly Field[],
    contexts: ReadonlyMap<string, FieldContext>,
    known: Readonly<Record<string, readonly Term[]>> = {},
    watch: Watch<Found> = watchNothing,
  ) {
    this.#records = new RecordReader(fields, contexts, known, watch);
    this.#idField = fieldWithRole(fields, 'id') ?? fieldWithRole(fields, 'link');
  }

  /**
   * @param known  the id it has already, where it has one
   * @returns null for a record that is rejected
   */
  read(record: RawRecord, known?: string): ReadPost | null {
    const number = ++this.#record;
    if (this.fields.every(({ key }) => isEmpty(own(record, key)))) {
      return this.#reject(number, 'no-value', 'It has no value in any field.');
    }
    const raw = this.#cleaned(record);
    const { values, left } = this.#records.read(raw);
    const named = known ?? ((this.#idField && cellText(own(raw, this.#idField.key)).slice(0, 500)) || `post-${number}`);
    const id = this.#free(named);
    this.#ids.add(id);
    if (left.length > 0) this.#left++;
    if (this.#idField && left.includes(this.#idField.key) && this.#idField.role === 'id') {
      this.#reject(number, 'duplicate-id', `Its id “${named}” is taken by an earlier post.`);
    }
    return { post: { id, values }, raw, position: number - 1, left };
  }

  /** Posts that were read and are answered. */
  get posts(): number {
    return this.#ids.size - this.#left;
  }

  get rejected(): Rejection[] {
    return this.#rejected;
  }

  /** What its fields hold, once all records were read. */
  get records(): RecordReader<Found> {
    return this.#records;
  }

  /** An id no other post has: the one it came with where that is free. */
  #free(named: string): string {
    if (!this.#ids.has(named)) return named;
    let n = this.#numbers.get(named) ?? 1;
    do n++;
    while (this.#ids.has(`${named}~${n}`));
    this.#numbers.set(named, n);
    return `${named}~${n}`;
  }

  #reject(record: number, code: NonNullable<Rejection['code']>, reason: string): null {
    if (this.#rejected.length < maxRejections) this.#rejected.push({ record, reason, code });
    return null;
  }

  #cleaned(record: RawRecord): RawRecord {
    const raw = cleanValue(record) as RawRecord;
    if (raw !== record)
      for (const { key } of this.fields) if (own(raw, key) !== own(record, key)) this.#records.lose(key);
    return raw;
  }
}

/** Makes posts of records, all at once. `known` as for a reader. */
export function readPosts(
  records: Records,
  fields: readonly Field[],
  known: Readonly<Record<string, readonly Term[]>> = {},
): PostReading {
  const reader = new PostReader(fields, prepareFields(records, fields), known);
  const posts: Post[] = [];
  for (const record of records) {
    const read = reader.read(record);
    if (read && read.left.length === 0) posts.push(read.post);
  }
  return { taxonomies: reader.records.taxonomies, rejected: reader.rejected, fields: [...fields], posts };
}
