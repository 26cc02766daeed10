import { Counted } from '../engine/index/counting.js';
import { planOf, withScratch } from '../answer/plan.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { postsUnder, type TermColumn } from '../engine/columns/term-column.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import { firstOf } from '../engine/base/first-of.js';

/** A choice a visitor can make first: a term of a facet that has posts. */
export interface Choice {
  facet: string;
  value: string;
  label: string;
  /** Posts it gives on its own. */
  count: number;
}

export interface DeadEnds {
  /** Pairs of choices that can be made together. */
  pairs: number;
  /** Of these, how many give nothing. */
  dead: number;
  /** Pairs that give nothing, those whose rarer choice gives most on its own first. */
  worst: [Choice, Choice][];
}

interface Chosen {
  facet: Facet;
  column: TermColumn;
  /** Terms that can be chosen and have posts. */
  terms: number[];
  counts: Uint32Array;
  labels: (term: number) => string;
}

/**
 * Where two choices one after the other lead to nothing, though each alone has posts. Of two facets any two choices
 * are a pair; within one facet only where all must match. Ranges and searches are left out: their choices can't be
 * listed.
 * Cost: a walk of each term's posts.
 * @param first  how many pairs to name; all are counted
 * No route or screen leads here yet; the one that shows it will.
 */
export function deadEnds(index: PostIndex, lens: Lens, first = 50): DeadEnds {
  const plan = planOf(index, lens);
  const all = new Counted(plan.scope.set, plan.scope);
  const facets = lens.facets.flatMap((facet, i): Chosen[] => {
    const { terms: column, shown } = plan.facets[i]!;
    if (!column) return [];
    const counts = all.terms(column);
    const terms = column.terms.flatMap((_, t) => ((shown?.shown[t] ?? 1) === 1 && counts[t]! > 0 ? [t] : []));
    return [{ facet, column, terms, counts, labels: (t) => shown?.labels[t] ?? column.terms[t]!.label }];
  });
  let [pairs, dead] = [0, 0];
  const found: { a: Choice; b: Choice; rarer: number }[] = [];
  facets.forEach((one, i) => {
    const others = facets.slice(i + 1);
    const pairWith = (a: number) => {
      const posts = plan.scope.set.and(postsUnder(one.column, [a]), index.arena);
      const under = new Counted(posts, plan.scope);
      const together = (other: Chosen, candidates: readonly number[]) => {
        pairs += candidates.length;
        const counts = under.terms(other.column);
        for (const b of candidates) {
          if (counts[b]! > 0) continue;
          dead++;
          const rarer = Math.min(one.counts[a]!, other.counts[b]!);
          found.push({ a: choiceOf(one, a), b: choiceOf(other, b), rarer });
        }
        // a source of many terms has millions of such pairs: the least of them are let go as they come
        if (found.length > 20_000) found.splice(0, found.length, ...worstOf(found, first));
      };
      for (const other of others) together(other, other.terms);
      const { facet } = one;
      if (kindOf(facet).keepsOwn(facet)) {
        together(
          one,
          one.terms.filter((b) => b > a),
        );
      }
    };
    for (const a of one.terms) withScratch(index, () => pairWith(a));
  });
  return { pairs, dead, worst: worstOf(found, first).map(({ a, b }) => [a, b]) };
}

function worstOf<P extends { rarer: number }>(found: readonly P[], first: number): P[] {
  return firstOf(found.length, first, (x, y) => found[y]!.rarer - found[x]!.rarer || x - y).map((i) => found[i]!);
}

function choiceOf({ facet, column, counts, labels }: Chosen, term: number): Choice {
  return { facet: facet.key, value: column.terms[term]!.slug, label: labels(term), count: counts[term]! };
}
