import { plainField, type Field, type Post, type Term, type Value } from '../../model/post.js';
import { searchText, type TextIndex } from '../words/text-index.js';
import { Arena } from '../kernel/arena.js';
import { postWithId, type PostStore } from '../store/post-store.js';
import { termListOf, type TermList } from '../store/term-list.js';
import { packTexts } from '../store/text-packer.js';
import { textAt } from '../store/texts.js';
import { noWhole, numbersOf, valueAt, type Values } from '../store/values.js';
import { daysIn, minutesIn } from './ordered-values.js';
import { KeptTexts, type KeptText, type PendingText, type WeighedField } from './kept-texts.js';
import { orderByKeys, sortKeys, type SortKey } from '../store/order.js';
import { buildPostRows, type PostRows, type RowColumn } from '../columns/post-rows.js';
import { buildSortedColumn, buildWholeColumn, type SortedColumn } from '../columns/sorted-column.js';
import { shuffle } from '../columns/shuffle.js';
import { finished, type Steps } from '../base/steps.js';
import { adoptRows, buildTermColumn, buildValueColumn, type TermColumn } from '../columns/term-column.js';
import { own } from '../../text/own.js';

export { textsKept, type KeptText, type PendingText, type WeighedField } from './kept-texts.js';

/** How often room is made for rows; made more often, they are walked without the kernel. */
const rowsMeant = 3;

/** Levels of a tree that room is made for; a deeper one may be counted without the kernel. */
const levelsMeant = 6;

/**
 * An immutable index over a source's posts. Posts are numbered newest first (by the field with the published
 * role), so that the first page of most listings is the first posts of a set. Columns, orders and word indexes are made
 * when first asked for and kept; that never changes an answer.
 */
export class PostIndex {
  readonly #byKey: Map<string, Field>;
  readonly #termLists = new Map<string, TermList | null>();
  readonly #columns = new Map<string, TermColumn>();
  /** By zone ('' for numbers), field, and the field that stands in. */
  readonly #sortedColumns = new Map<string, Map<string, Map<string | undefined, SortedColumn>>>();
  readonly #texts: KeptTexts;
  readonly #made = new Map<string, unknown>();

  #arena: Arena | null | undefined;
  #rows: PostRows | null = null;
  /** Bytes of the arena that are left for rows: what is made anew must not take the room of columns to come. */
  #rowsRoom = 0;

  /**
   * @param texts      word indexes that are ready
   * @param pending    word indexes that are made out of others when they are asked for
   * @param arenaFrom  posts from which the kernel is called in: fewer are counted in no time without
   */
  constructor(
    readonly fields: readonly Field[],
    readonly taxonomies: Readonly<Record<string, readonly Term[]>>,
    readonly store: PostStore,
    texts: readonly KeptText[] = [],
    readonly arenaFrom = 20_000,
    pending: readonly PendingText[] = [],
  ) {
    this.#byKey = new Map(fields.map((field) => [field.key, field]));
    this.#texts = new KeptTexts(texts, pending);
  }

  get size(): number {
    return this.store.size;
  }

  field(key: string): Field | undefined {
    return this.#byKey.get(key);
  }

  /** The id of a post. */
  idOf(post: number): string {
    return textAt(this.store.ids, post);
  }

  /** The number of the post with an id. */
  numberOf(id: string): number | undefined {
    return postWithId(
      this.store,
      packTexts(1, () => id),
      0,
    );
  }

  hasPost(id: string): boolean {
    return this.numberOf(id) !== undefined;
  }

  /** The place of each post among all ids, ascending by code units: how ties fall. */
  get idPlaces(): Uint32Array {
    return this.#once('id places', () => {
      const places = new Uint32Array(this.size);
      this.store.byId.forEach((post, i) => (places[post] = i));
      return places;
    });
  }

  /** A field of a post as it was read; undefined where it has no value. */
  valueOf(post: number, key: string): Value | undefined {
    const values = this.store.values.get(key);
    return values && valueAt(values, post, this.termList(key));
  }

  /** The values of a field by post, as the store keeps them; null for a field the source does not have. */
  valuesOf(key: string): Values | null {
    return this.store.values.get(key) ?? null;
  }

  /** A post as it was read. */
  postAt(post: number): Post {
    const values: Post['values'] = {};
    for (const { key } of this.fields) {
      const value = this.valueOf(post, key);
      if (value !== undefined) values[key] = value;
    }
    return { id: this.idOf(post), values };
  }

  /** The terms of a field, numbered; null for a field that facets by its values. */
  termList(key: string): TermList | null {
    let list = this.#termLists.get(key);
    if (list === undefined) {
      list = termListOf(this.#field(key), own(this.taxonomies, key));
      this.#termLists.set(key, list);
    }
    return list;
  }

  /** The terms of a field over all posts; a field the source does not have gives an empty column. */
  column(key: string): TermColumn {
    // asked for many times an answer, so its look-up is one step
    let column = this.#columns.get(key);
    if (!column) {
      column = this.#buildColumn(key);
      this.#columns.set(key, column);
    }
    return column;
  }

  /** Prepares `column`. If another makes it meanwhile, theirs is taken. */
  *prepareColumn(key: string): Steps<TermColumn> {
    const list = this.termList(key);
    const values = this.store.values.get(key);
    if (this.#columns.has(key) || !list || !values) return this.column(key);
    const steps = buildTermColumn(list, values, this.size, this.arena);
    for (;;) {
      const made = this.#columns.get(key);
      if (made) return made;
      const { done, value } = steps.next();
      if (done) this.#columns.set(key, value);
      else yield;
    }
  }

  /** The columns of terms that were made, by field. */
  get columns(): ReadonlyMap<string, TermColumn> {
    return this.#columns;
  }

  /** Takes a column that was made elsewhere: the one that would be built. */
  keepColumn(key: string, column: TermColumn): void {
    this.#columns.set(key, column);
  }

  /** Post numbers in the order of a field; where two are alike, of the next. */
  order(keys: readonly SortKey[]): Uint32Array {
    return finished(this.prepareOrder(keys));
  }

  /** Prepares `order`. */
  *prepareOrder(keys: readonly SortKey[]): Steps<Uint32Array> {
    const name = `order ${JSON.stringify(keys)}`;
    const made = this.#made.get(name) as Uint32Array | undefined;
    if (made) return made;
    // from the last key to the first: each keeps what the ones after it made of posts that are alike in it
    let order = this.store.byId;
    for (const { field, order: direction } of [...keys].reverse()) {
      const values = this.store.values.get(field);
      const by = values
        ? yield* sortKeys(this.#field(field), values, this.termList(field))
        : new Float64Array(this.size).fill(NaN);
      order = yield* orderByKeys(by, order, direction);
    }
    this.#made.set(name, order);
    return order;
  }

  /** Post numbers in an order that looks like chance but is the same for the same seed. */
  shuffled(seed: string): Uint32Array {
    return finished(this.prepareShuffle(seed));
  }

  /** Prepares `shuffled`. One seed is remembered: visitors of one day have the same. */
  *prepareShuffle(seed: string): Steps<Uint32Array> {
    const made = this.#made.get('shuffled') as { seed: string; order: Uint32Array } | undefined;
    if (made?.seed === seed) return made.order;
    const order = yield* shuffle(this.size, (post) => this.idOf(post), this.store.byId, seed);
    this.#made.set('shuffled', { seed, order });
    return order;
  }

  /**
   * The days of a date field in a zone, as day numbers.
   * @param orElse  field whose day stands in where this one has none: the other end of a span
   */
  days(key: string, zone: string, orElse?: string): SortedColumn {
    return this.#ordered(zone, key, orElse, () => {
      const ofDays = orElse === undefined && this.#wholes(key, 'days');
      if (ofDays) return ofDays;
      return this.#sorted(key, orElse, (values) => daysIn(values, this.size, zone));
    });
  }

  /** The minutes of a field of date-times by the clock of a zone; `orElse` as for days. */
  minutes(key: string, zone: string, orElse?: string): SortedColumn {
    return this.#ordered(`${zone} to the minute`, key, orElse, () =>
      this.#sorted(key, orElse, (values) => minutesIn(values, this.size, zone)),
    );
  }

  /** The numbers of a field; `orElse` as for days. */
  numbers(key: string, orElse?: string): SortedColumn {
    return this.#ordered('', key, orElse, () => {
      const ofWholes = orElse === undefined && this.#wholes(key, 'wholes');
      if (ofWholes) return ofWholes;
      return this.#sorted(key, orElse, (values) =>
        values?.form === 'wholes' || values?.form === 'numbers' ? numbersOf(values) : null,
      );
    });
  }

  /**
   * What a kind of facet derives from the posts by a rule of its own: made when first asked for, and kept.
   * @param name  of the rule and all it depends on
   */
  derived<T>(name: string, make: () => Steps<T>): T {
    return finished(this.prepareDerived(name, make));
  }

  /** Prepares `derived`. If another makes it meanwhile, the one made first is taken. */
  *prepareDerived<T>(name: string, make: () => Steps<T>): Steps<T> {
    const key = `derived ${name}`;
    if (!this.#made.has(key)) {
      const made = yield* make();
      if (!this.#made.has(key)) this.#made.set(key, made);
    }
    return this.#made.get(key) as T;
  }

  /** The words of some fields, each weighed. */
  text(fields: readonly WeighedField[]): TextIndex {
    return finished(this.prepareText(fields));
  }

  /** Prepares `text`. If another makes it meanwhile, theirs is taken. */
  prepareText(fields: readonly WeighedField[]): Steps<TextIndex> {
    return this.#texts.prepare(fields, this.size, (post, key) => this.textOf(post, key));
  }

  /** The word indexes that are kept. */
  get texts(): readonly KeptText[] {
    return this.#texts.all;
  }

  /** A field of a post as text to search. */
  textOf(post: number, key: string): string {
    return searchText(this.valueOf(post, key), this.#field(key).type, (slug) => {
      const list = this.termList(key);
      const term = list?.numbers.get(slug);
      return term === undefined ? slug : list!.terms[term]!.label;
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

  #buildColumn(key: string): TermColumn {
    const list = this.termList(key);
    const values = this.store.values.get(key);
    if (list && values) return finished(buildTermColumn(list, values, this.size, this.arena));
    return buildValueColumn(this.size, this.arena, (post) => this.valueOf(post, key));
  }

  /** What posts have in the columns that were put in rows. */
  get rows(): PostRows | null {
    return this.#rows;
  }

  /**
   * Puts what each post has in some columns beside what it has in those before, for counting by all at once. Where
   * that can't be done, each column is walked by itself. If others are put in rows meanwhile, it begins anew.
   */
  *prepareRows(columns: readonly RowColumn[]): Steps<void> {
    const { arena } = this;
    if (!arena || columns.every((column) => this.#rows?.places.has(column))) return;
    const before = this.#rows;
    const all = new Set([...(before?.places.keys() ?? []), ...columns]);
    const rows = yield* buildPostRows(this.size, [...all], before, arena, this.#rowsRoom);
    if (this.#rows !== before) return yield* this.prepareRows(columns);
    if (rows) this.#rows = rows;
    if (rows && rows.at >= 0) this.#rowsRoom -= rows.values.byteLength;
    for (const column of columns) {
      if ('ranks' in column || column.sharesRows) continue;
      if (rows) column.rows = null;
      else if (!column.rowsAt) adoptRows(column, arena);
    }
  }

  /** A column as it was made before; asked for several times an answer, so no name is put together. */
  #ordered(zone: string, key: string, orElse: string | undefined, make: () => SortedColumn): SortedColumn {
    let byKey = this.#sortedColumns.get(zone);
    if (!byKey) this.#sortedColumns.set(zone, (byKey = new Map<string, Map<string | undefined, SortedColumn>>()));
    let byOther = byKey.get(key);
    if (!byOther) byKey.set(key, (byOther = new Map<string | undefined, SortedColumn>()));
    let column = byOther.get(orElse);
    if (!column) byOther.set(orElse, (column = make()));
    return column;
  }

  /** The column of a field that is kept as whole numbers; null for any other, and where they lie far apart. */
  #wholes(key: string, form: 'days' | 'wholes'): SortedColumn | null {
    const values = this.store.values.get(key);
    if (values?.form !== form) return null;
    return buildWholeColumn(values.numbers, noWhole(values.numbers), this.arena);
  }

  /** @param read  the values of a field as numbers, NaN where there is none; null when it has no such values */
  #sorted(
    key: string,
    orElse: string | undefined,
    read: (values: Values | undefined) => Float64Array | null,
  ): SortedColumn {
    const readAll = (one: string) => read(this.store.values.get(one)) ?? new Float64Array(this.size).fill(NaN);
    let values = readAll(key);
    if (orElse !== undefined) {
      const others = readAll(orElse);
      values = values.map((value, p) => (Number.isNaN(value) ? others[p]! : value));
    }
    return buildSortedColumn(values, finished(orderByKeys(values, this.#numbered, 'asc')), this.arena);
  }

  /** Where the sets of this index lie, and what answers work with; null for one too small to gain by it. */
  get arena(): Arena | null {
    if (this.#arena === undefined) {
      this.#arena = this.size < this.arenaFrom ? null : new Arena(this.size, this.#arenaBytes());
    }
    return this.#arena;
  }

  /** Room for all columns: a field takes as many lists as it has values, and sets where they take less than lists. */
  #arenaBytes(): number {
    let entries = 0;
    for (const { key } of this.fields) {
      const values = this.store.values.get(key);
      const terms = this.termList(key)?.terms ?? [];
      const levels = terms.some((term) => term.parent !== null) ? levelsMeant : 1;
      // its posts in the order of its values, where it has an order; a list of each term, where it has terms
      entries += (values?.form === 'terms' ? values.numbers.length : this.size) * levels + terms.length + 64;
      // and the numbers of each post, two to a word
      entries += this.size >>> 1;
    }
    // and all of that two to a word, where posts have it in rows, which end in places that are empty: made anew when a
    // lens counts by a further field
    this.#rowsRoom = rowsMeant * (entries * 2 + this.size * 16 + 64);
    return entries * 4 + this.#rowsRoom;
  }

  /** All post numbers, ascending. */
  get #numbered(): Uint32Array {
    return this.#once('numbered', () => {
      const all = new Uint32Array(this.size);
      for (let p = 0; p < all.length; p++) all[p] = p;
      return all;
    });
  }

  #field(key: string): Field {
    return this.#byKey.get(key) ?? plainField(key, '');
  }

  #once<T>(name: string, make: () => T): T {
    if (!this.#made.has(name)) this.#made.set(name, make());
    return this.#made.get(name) as T;
  }
}
