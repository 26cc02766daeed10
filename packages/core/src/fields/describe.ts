import { momentOf } from '../index/order.js';
import type { Collection, Field, Value } from '../model/post.js';

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
export function describeFields(collection: Collection): FieldDescription[] {
  return collection.fields.map((field) => {
    const labels = new Map(collection.taxonomies[field.key]?.map((term) => [term.slug, term.label]));
    const counts = new Map<string, number>();
    let filled = 0;
    for (const post of collection.posts) {
      const value = post.values[field.key];
      if (value === undefined) continue;
      filled++;
      for (const one of Array.isArray(value) ? value : [value]) {
        const text = typeof one === 'string' ? (labels.get(one) ?? one) : String(one);
        counts.set(text, (counts.get(text) ?? 0) + 1);
      }
    }
    const samples = [...counts]
      .sort((a, b) => b[1] - a[1])
      .slice(0, 6)
      .map(([text]) => text.slice(0, 160));
    return { ...field, filled, distinct: counts.size, samples, spread: spreadOf(collection, field) };
  });
}

function spreadOf(collection: Collection, field: Field): Spread | null {
  if (!['date', 'datetime', 'number'].includes(field.type)) return null;
  let low: Value | undefined;
  let high: Value | undefined;
  const places: number[] = [];
  for (const post of collection.posts) {
    const value = post.values[field.key];
    const place = value === undefined ? null : placeOf(value);
    if (place === null) continue;
    if (low === undefined || place < placeOf(low)!) low = value;
    if (high === undefined || place > placeOf(high)!) high = value;
    places.push(place);
  }
  if (low === undefined || high === undefined) return null;
  const from = placeOf(low)!;
  const step = (placeOf(high)! - from) / spreadSteps || 1;
  const counts = new Array<number>(spreadSteps).fill(0);
  for (const place of places) counts[Math.min(spreadSteps - 1, Math.floor((place - from) / step))]!++;
  return { low: low as string | number, high: high as string | number, counts };
}

/** Where a date or number lies on a line. */
function placeOf(value: Value): number | null {
  if (typeof value === 'number') return value;
  return typeof value === 'string' ? momentOf(value.length === 10 ? `${value}T00:00:00Z` : value) : null;
}
