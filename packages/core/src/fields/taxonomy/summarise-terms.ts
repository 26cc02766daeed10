import { manyOf } from '../../engine/store/values.js';
import type { PostIndex } from '../../engine/index/post-index.js';
import { livingTerms, type Term } from '../../model/post.js';
import { commonest, samplesShown, type FieldDescription } from '../describe.js';

/** How many posts have what of a field's terms. */
export interface TermSummary {
  /** By number of the term: posts that have just that one, and posts that have it or one under it. */
  own: Uint32Array;
  all: Uint32Array;
  /** Posts that have any. */
  filled: number;
}

/**
 * Counts the terms of a field as they would be after a change, out of an index from before it. O(posts × terms a post has).
 * @param terms  as they would be
 */
export function summariseTerms(index: PostIndex, key: string, terms: readonly Term[]): TermSummary {
  const living = livingTerms(terms);
  const numbers = new Map(living.map(({ slug }, t) => [slug, t]));
  living.forEach(({ aliases = [] }, t) => {
    for (const alias of aliases) if (!numbers.has(alias)) numbers.set(alias, t);
  });
  const parents = living.map(({ parent }) => (parent === null ? -1 : (numbers.get(parent) ?? -1)));
  const now = (index.termList(key)?.terms ?? []).map(({ slug }) => numbers.get(slug) ?? -1);
  const summary: TermSummary = {
    own: new Uint32Array(living.length),
    all: new Uint32Array(living.length),
    filled: 0,
  };
  const values = index.valuesOf(key);
  if (!values || (values.form !== 'term' && values.form !== 'terms')) return summary;
  const { starts, numbers: had } = manyOf(values);
  // the post that was counted last under each term: one that has two of a branch counts once
  const lastOwn = new Int32Array(living.length).fill(-1);
  const last = new Int32Array(living.length).fill(-1);
  for (let p = 0; p < index.size; p++) {
    let isFilled = false;
    for (let i = starts[p]!; i < starts[p + 1]!; i++) {
      const term = now[had[i]!]!;
      if (term < 0) continue;
      isFilled = true;
      if (lastOwn[term] !== p) summary.own[term]!++;
      lastOwn[term] = p;
      for (let t = term; t >= 0 && last[t] !== p; t = parents[t]!) {
        summary.all[t]!++;
        last[t] = p;
      }
    }
    if (isFilled) summary.filled++;
  }
  return summary;
}

/** What a field holds once its terms are others. */
export function describeTerms<F extends FieldDescription>(
  field: F,
  terms: readonly Term[],
  { own, filled }: Pick<TermSummary, 'own' | 'filled'>,
): F {
  const living = livingTerms(terms);
  const counts = new Map(living.flatMap(({ label }, t) => (own[t]! > 0 ? [[`${t} ${label}`, own[t]!] as const] : [])));
  const samples = commonest(counts, samplesShown).map((one) => one.slice(one.indexOf(' ') + 1).slice(0, 160));
  return { ...field, filled, distinct: counts.size, samples };
}
