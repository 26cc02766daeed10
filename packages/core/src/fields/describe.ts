import { momentOf } from '../engine/store/order.js';
import type { Collection, Field, Post, Term, Value } from '../model/post.js';
import { own } from '../text/own.js';

/** A field, with what its posts hold. */
export interface FieldDescription extends Field {
  /** Posts with a value. */
  filled: number;
  distinct: number;
  /** Up to six values, the commonest first. */
  samples: string[];
  /** For dates and numbers: the least and the greatest value, and posts in equal steps between them. */
  spread: Spread | null;
}

export interface Spread {
  low: string | number;
  high: string | number;
  counts: number[];
}

const spreadSteps = 18;

/** Says of every field how many posts have it, how many values there are, and shows some. */
export function describeFields({ fields, posts, taxonomies }: Collection): FieldDescription[] {
  const describer = new FieldDescriber(fields);
  for (const post of posts) describer.add(post);
  return describer.describe(taxonomies);
}

/** Describes fields by posts that come one by one. */
export class FieldDescriber {
  readonly #statistics: readonly FieldStatistics[];

  constructor(fields: readonly Field[]) {
    this.#statistics = fields.map((field) => new FieldStatistics(field));
  }

  add({ values }: Post): void {
    for (const counts of this.#statistics) {
      const value = own(values, counts.field.key);
      if (value !== undefined) counts.add(value);
    }
  }

  /** @param taxonomies  the terms of each field, whose labels are shown */
  describe(taxonomies: Readonly<Record<string, readonly Term[]>>): FieldDescription[] {
    return this.#statistics.map((counts) => counts.describe(own(taxonomies, counts.field.key) ?? []));
  }
}

/** Values shown of a field. */
export const samplesShown = 6;

/** What is counted of one field. */
class FieldStatistics {
  readonly #counts = new Map<string | number | boolean, number>();
  readonly #places: number[] | null;
  #filled = 0;
  #low: Value | undefined;
  #high: Value | undefined;

  constructor(readonly field: Field) {
    this.#places = ['date', 'datetime', 'number'].includes(field.type) ? [] : null;
  }

  add(value: Value): void {
    this.#filled++;
    if (!Array.isArray(value)) this.#count(value);
    else for (const one of value) this.#count(one);
    if (this.#places) this.#place(value, this.#places);
  }

  describe(terms: readonly Term[]): FieldDescription {
    const labels = new Map(terms.map((term) => [term.slug, term.label]));
    const samples = commonest(this.#counts, samplesShown).map((value) =>
      (typeof value === 'string' ? (labels.get(value) ?? value) : String(value)).slice(0, 160),
    );
    return { ...this.field, filled: this.#filled, distinct: this.#counts.size, samples, spread: this.#spread() };
  }

  #count(value: string | number | boolean): void {
    this.#counts.set(value, (this.#counts.get(value) ?? 0) + 1);
  }

  #place(value: Value, places: number[]): void {
    const place = placeOf(value);
    if (place === null) return;
    if (this.#low === undefined || place < placeOf(this.#low)!) this.#low = value;
    if (this.#high === undefined || place > placeOf(this.#high)!) this.#high = value;
    places.push(place);
  }

  #spread(): Spread | null {
    if (this.#low === undefined || this.#high === undefined) return null;
    const from = placeOf(this.#low)!;
    const step = (placeOf(this.#high)! - from) / spreadSteps || 1;
    const counts = new Array<number>(spreadSteps).fill(0);
    for (const place of this.#places!) counts[Math.min(spreadSteps - 1, Math.floor((place - from) / step))]!++;
    return { low: this.#low as string | number, high: this.#high as string | number, counts };
  }
}

/** The keys with the highest counts, highest first, without sorting all of them. */
export function commonest<K>(counts: ReadonlyMap<K, number>, most: number): K[] {
  const found: [K, number][] = [];
  for (const entry of counts) {
    let at = found.length;
    while (at > 0 && found[at - 1]![1] < entry[1]) at--;
    if (at >= most) continue;
    found.splice(at, 0, entry);
    if (found.length > most) found.pop();
  }
  return found.map(([key]) => key);
}

/** Where a date or number lies on a line. */
function placeOf(value: Value): number | null {
  if (typeof value === 'number') return value;
  return typeof value === 'string' ? momentOf(value.length === 10 ? `${value}T00:00:00Z` : value) : null;
}
