import type { Field, Value } from '../../model/post.js';
import { own } from '../../text/own.js';
import { cellText, cellTexts, isEmpty, type RawRecord } from './cell.js';
import {
  placesOf,
  retryOf,
  saidBy,
  stepOf,
  touchedBy,
  type Placing,
  type Retry,
  type Said,
  type Step,
  type Touching,
} from './mending.js';
import { plainParser } from './plain-parser.js';
import type { FieldContext } from './prepare.js';
import type { Taxonomy } from './taxonomy.js';
import { branchOf, nestedLabels, pathLabels } from './tree.js';

/** Undefined: nothing is there. Null: something is, and can't be read. */
type Read = Value | null | undefined;

/** Reads the values of one field by its type, and mends them on the way. */
export class FieldParser {
  /** Per mend: values it made another. */
  readonly used: Map<string, number>;
  readonly #before: readonly Step[];
  /** Mends that say how all values are read: those count as theirs that would be read otherwise. */
  readonly #touching: readonly Touching[];
  readonly #retries: readonly Retry[];
  readonly #said: ReadonlyMap<string, Said>;
  readonly #places: ReadonlyMap<string, Placing>;
  readonly #parse: (raw: unknown, record: RawRecord) => Read;
  readonly #by: string | undefined;

  constructor(
    readonly field: Field,
    private readonly context: FieldContext,
    private readonly taxonomy: Taxonomy | null,
  ) {
    const mends = field.mends ?? [];
    this.used = new Map(mends.map(({ id }) => [id, 0]));
    this.#by = mends.flatMap(({ rule }) => (rule.does === 'by' ? [rule.name] : [])).at(-1) ?? field.by;
    this.#before = mends.flatMap((mend): Step[] => {
      const step = stepOf(mend.rule, field);
      return step ? [{ id: mend.id, ...step }] : [];
    });
    this.#touching = mends.flatMap((mend): Touching[] => {
      const touches = touchedBy(mend.rule, field);
      return touches ? [{ id: mend.id, touches }] : [];
    });
    this.#retries = mends.flatMap((mend): Retry[] => {
      const again = retryOf(mend.rule, field, context, plainParser(field, context));
      return again ? [{ id: mend.id, again }] : [];
    });
    this.#said = saidBy(mends);
    this.#places = placesOf(mends);
    this.#parse = this.#parser();
  }

  read(record: RawRecord): Read {
    let raw = own(record, this.field.key);
    for (const { id, touches } of this.#touching) if (touches(raw)) this.#use(id);
    for (const { id, does } of this.#before) {
      const made = does(raw, record);
      if (made !== raw) this.#use(id);
      raw = made;
    }
    if (isEmpty(raw)) return undefined;
    const value = this.#parse(raw, record);
    return value === null ? this.#retry(raw) : value;
  }

  #retry(raw: unknown): Read {
    const text = cellText(raw, this.#by);
    for (const { id, again } of this.#retries) {
      const value = again(text);
      if (value === null) continue;
      this.#use(id);
      return value;
    }
    return null;
  }

  #use(id: string): void {
    this.used.set(id, (this.used.get(id) ?? 0) + 1);
  }

  #parser(): (raw: unknown, record: RawRecord) => Read {
    if (this.taxonomy) return (raw, record) => this.#terms(raw, record, this.taxonomy!);
    const parse = plainParser(this.field, this.context);
    if (this.#said.size === 0) return parse;
    return (raw) => {
      const said = this.#said.get(cellText(raw, this.#by));
      if (said === undefined) return parse(raw);
      this.#use(said.id);
      return said.into === '' ? undefined : parse(said.into);
    };
  }

  #terms(raw: unknown, record: RawRecord, taxonomy: Taxonomy): Read {
    const slugs = new Set<string>();
    let isRead = false;
    for (const path of this.#paths(raw, record)) {
      isRead = true;
      const labels = this.#mended(path);
      if (labels.length === 0) continue;
      const slug = taxonomy.place(labels);
      if (slug === null) continue;
      if (labels !== path) taxonomy.lead(path, slug);
      slugs.add(slug);
    }
    if (slugs.size > 0) return [...slugs];
    return isRead ? undefined : null;
  }

  /** The terms of a value, each as the labels that lead to it. */
  #paths(raw: unknown, record: RawRecord): string[][] {
    const { field } = this;
    const nested = field.tree && field.pathSeparator === null && field.parent === undefined;
    if (nested) {
      return (Array.isArray(raw) ? raw : [raw]).flatMap((one) => {
        const labels = nestedLabels(one, this.#by) ?? [cellText(one, this.#by)];
        return labels[0] === '' ? [] : [labels];
      });
    }
    const texts = cellTexts(raw, field.separator, this.#by);
    const { parents, references } = this.context;
    if (references) return texts.map((text) => [references.get(text) ?? text]);
    if (parents) return texts.map((text, i) => branchOf(record, field, text, i, texts.length, parents));
    return texts.map((text) => pathLabels(text, field));
  }

  /** A path as it is mended: itself, where nothing of it is. */
  #mended(path: readonly string[]): readonly string[] {
    const labels = path.some((label) => this.#said.has(label)) ? path.flatMap((label) => this.#labels(label)) : path;
    const place = labels.length === 1 ? this.#places.get(labels[0]!) : undefined;
    if (!place) return labels;
    this.#use(place.id);
    return [...place.under, ...labels];
  }

  #labels(label: string): string[] {
    const said = this.#said.get(label);
    if (said === undefined) return [label];
    this.#use(said.id);
    return said.into === '' ? [] : [said.into];
  }
}
