import type { Collection, Field } from '../model/post.js';

/** A field, with what its posts hold. */
export interface FieldDescription extends Field {
  /** Posts with a value. */
  filled: number;
  distinct: number;
  /** Up to six values, the commonest first. */
  samples: string[];
}

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
    const samples = [...counts].sort((a, b) => b[1] - a[1]).slice(0, 6).map(([text]) => text.slice(0, 160));
    return { ...field, filled, distinct: counts.size, samples };
  });
}
