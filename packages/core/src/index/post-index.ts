import type { Vocabulary } from '../address/read.js';
import type { Collection, Field, Post, Term } from '../model/post.js';
import { fieldWithRole } from '../model/post.js';
import { orderBy } from './order.js';
import { buildTermColumn, type TermColumn } from './term-column.js';

/**
 * An immutable index over a source's posts. Posts are numbered newest first (by the field with the published
 * role), so that the first page of most listings is the first posts of a set. Columns and orders are made when
 * first asked for and kept; that never changes an answer.
 */
export class PostIndex implements Vocabulary {
  readonly fields: readonly Field[];
  readonly posts: readonly Post[];
  readonly #taxonomies: Record<string, readonly Term[]>;
  readonly #byKey: Map<string, Field>;
  readonly #columns = new Map<string, TermColumn>();
  readonly #orders = new Map<string, Uint32Array>();
  #numbers: Map<string, number> | undefined;

  constructor(collection: Collection) {
    this.fields = collection.fields;
    this.#taxonomies = collection.taxonomies;
    this.#byKey = new Map(collection.fields.map((field) => [field.key, field]));
    const published = fieldWithRole(collection.fields, 'published');
    const nothing: Field = { ...emptyField, key: '' };
    const order = orderBy(collection.posts, published ?? nothing, 'desc', undefined);
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
    let column = this.#columns.get(key);
    if (!column) {
      const field = this.#byKey.get(key) ?? { ...emptyField, key };
      column = buildTermColumn(field, this.#taxonomies[key], this.posts);
      this.#columns.set(key, column);
    }
    return column;
  }

  /** Post numbers in the order of a field. */
  order(key: string, direction: 'asc' | 'desc'): Uint32Array {
    const name = `${direction} ${key}`;
    let order = this.#orders.get(name);
    if (!order) {
      const field = this.#byKey.get(key) ?? { ...emptyField, key };
      order = orderBy(this.posts, field, direction, this.#taxonomies[key]);
      this.#orders.set(name, order);
    }
    return order;
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
}

/** Builds an index from a source's contents. */
export function buildIndex(collection: Collection): PostIndex {
  return new PostIndex(collection);
}

const emptyField: Field = {
  key: '',
  label: '',
  type: 'text',
  role: null,
  multiple: false,
  tree: false,
  separator: null,
  pathSeparator: null,
};
