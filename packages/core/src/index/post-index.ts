import type { Vocabulary } from '../address/read.js';
import { zoneDays } from '../dates/zone.js';
import type { Collection, Field, Post, Term } from '../model/post.js';
import { fieldWithRole } from '../model/post.js';
import { buildTextIndex, searchText, type TextIndex } from '../search/text-index.js';
import { orderBy } from './order.js';
import { buildSortedColumn, type SortedColumn } from './sorted-column.js';
import { buildTermColumn, type TermColumn } from './term-column.js';

/**
 * An immutable index over a source's posts. Posts are numbered newest first (by the field with the published
 * role), so that the first page of most listings is the first posts of a set. Columns, orders and word indexes are made
 * when first asked for and kept; that never changes an answer.
 */
export class PostIndex implements Vocabulary {
  readonly fields: readonly Field[];
  readonly posts: readonly Post[];
  readonly #taxonomies: Record<string, readonly Term[]>;
  readonly #byKey: Map<string, Field>;
  readonly #columns = new Map<string, TermColumn>();
  readonly #made = new Map<string, unknown>();
  #numbers: Map<string, number> | undefined;

  constructor(collection: Collection) {
    this.fields = collection.fields;
    this.#taxonomies = collection.taxonomies;
    this.#byKey = new Map(collection.fields.map((field) => [field.key, field]));
    const published = fieldWithRole(collection.fields, 'published');
    const order = orderBy(collection.posts, published ?? unknownField(''), 'desc', undefined);
    this.posts = Array.from(order, (p) => collection.posts[p]!);
  }

  get size(): number {
    return this.posts.length;
  }

  field(key: string): Field | undefined {
    return this.#byKey.get(key);
  }

  /** The number of the post with an id. */
  numberOf(id: string): number | undefined {
    this.#numbers ??= new Map(this.posts.map((post, p) => [post.id, p]));
    return this.#numbers.get(id);
  }

  /** The terms of a field over all posts; a field the source does not have gives an empty column. */
  column(key: string): TermColumn {
    // asked for many times an answer, so its look-up is one step
    let column = this.#columns.get(key);
    if (!column) {
      column = buildTermColumn(this.#field(key), this.#taxonomies[key], this.posts);
      this.#columns.set(key, column);
    }
    return column;
  }

  /** Post numbers in the order of a field. */
  order(key: string, direction: 'asc' | 'desc'): Uint32Array {
    return this.#once(`${direction} ${key}`, () =>
      orderBy(this.posts, this.#field(key), direction, this.#taxonomies[key]),
    );
  }

  /**
   * The days of a date field in a zone, as day numbers.
   * @param orElse  field whose day stands in where this one has none: the other end of a span
   */
  days(key: string, zone: string, orElse?: string): SortedColumn {
    return this.#once(`days ${zone} ${JSON.stringify([key, orElse])}`, () => {
      const days = zoneDays(zone);
      return this.#sorted(key, orElse, (value) => (typeof value === 'string' ? (days.dayOf(value) ?? NaN) : NaN));
    });
  }

  /** The numbers of a field; `orElse` as for days. */
  numbers(key: string, orElse?: string): SortedColumn {
    return this.#once(`numbers ${JSON.stringify([key, orElse])}`, () =>
      this.#sorted(key, orElse, (value) => (typeof value === 'number' ? value : NaN)),
    );
  }

  /** The words of some fields, each weighed. */
  text(fields: readonly { key: string; weight: number }[]): TextIndex {
    return this.#once(`text ${JSON.stringify(fields)}`, () =>
      buildTextIndex(
        this.posts,
        fields.map(({ key, weight }) => ({ key, weight, read: (post) => this.textOf(post, key) })),
      ),
    );
  }

  /** A field of a post as text to search. */
  textOf(post: Post, key: string): string {
    const field = this.#field(key);
    return searchText(post.values[key], field.type, (slug) => {
      const column = this.column(key);
      const term = column.numbers.get(slug);
      return term === undefined ? slug : column.terms[term]!.label;
    });
  }

  termOf(field: string, slug: string): string | null {
    const column = this.column(field);
    const number = column.numbers.get(slug);
    return number === undefined ? null : column.terms[number]!.slug;
  }

  ancestorsOf(field: string, slug: string): readonly string[] {
    const column = this.column(field);
    const ancestors: string[] = [];
    for (let t = column.parents[column.numbers.get(slug) ?? -1] ?? -1; t >= 0; t = column.parents[t]!) {
      ancestors.push(column.terms[t]!.slug);
    }
    return ancestors;
  }

  #sorted(key: string, orElse: string | undefined, read: (value: unknown) => number): SortedColumn {
    const values = Float64Array.from(this.posts, (post) => {
      const own = read(post.values[key]);
      return Number.isNaN(own) && orElse !== undefined ? read(post.values[orElse]) : own;
    });
    return buildSortedColumn(values);
  }

  #field(key: string): Field {
    return this.#byKey.get(key) ?? unknownField(key);
  }

  #once<T>(name: string, make: () => T): T {
    if (!this.#made.has(name)) this.#made.set(name, make());
    return this.#made.get(name) as T;
  }
}

/** Builds an index from a source's contents. */
export function buildIndex(collection: Collection): PostIndex {
  return new PostIndex(collection);
}

function unknownField(key: string): Field {
  return {
    key,
    label: '',
    type: 'text',
    role: null,
    multiple: false,
    tree: false,
    separator: null,
    pathSeparator: null,
  };
}
