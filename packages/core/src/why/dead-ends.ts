import { readAddress } from '../address/read.js';
import { writeAddress } from '../address/write.js';
import { planOf, withScratch, type Plan } from '../answer/plan.js';
import { firstOf } from '../engine/base/first-of.js';
import type { Steps } from '../engine/base/steps.js';
import { postsUnder, type TermColumn } from '../engine/columns/term-column.js';
import { Counted } from '../engine/index/counting.js';
import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import { encodePart } from '../text/parameters.js';

/** A choice a visitor can make first: a term of a facet that has posts. */
export interface Choice {
  facet: string;
  value: string;
  label: string;
  /** Posts it gives on its own. */
  count: number;
}

export interface DeadEnd {
  choices: [Choice, Choice];
  /** Where both are chosen. */
  address: string;
}

export interface DeadEnds {
  /** Pairs of choices that can be made together. */
  pairs: number;
  /** Of these, how many give nothing. */
  dead: number;
  /** Those that give nothing, by the facets they are of: the same one twice where all its terms must match. Most first. */
  between: { facets: [string, string]; pairs: number; dead: number }[];
  /** Pairs that give nothing, those whose rarer choice gives most on its own first. */
  worst: DeadEnd[];
}

/** A facet of terms, and those of them that can be chosen and have posts. */
export interface Choosable {
  facet: Facet;
  column: TermColumn;
  terms: number[];
  counts: Uint32Array;
  labels: (term: number) => string;
}

/** Pairs named at most. */
export const deadEndsShown = 50;

/** Facets of terms with what can be chosen in them. Ranges and searches are left out: their choices can't be listed. */
export function choosable(plan: Plan, lens: Lens): Choosable[] {
  const all = new Counted(plan.scope.set, plan.scope);
  return lens.facets.flatMap((facet, i): Choosable[] => {
    const { terms: column, shown } = plan.facets[i]!;
    if (!column) return [];
    const counts = all.terms(column);
    const terms = column.terms.flatMap((_, t) => ((shown?.shown[t] ?? 1) === 1 && counts[t]! > 0 ? [t] : []));
    return [{ facet, column, terms, counts, labels: (t) => shown?.labels[t] ?? column.terms[t]!.label }];
  });
}

/** Counts terms of other facets under one of a facet's own. What it gives must be read before the next is asked for. */
export function counter(index: PostIndex, plan: Plan, { column }: Choosable, term: number) {
  const posts = plan.scope.set.and(postsUnder(column, [term]), index.arena);
  const under = new Counted(posts, plan.scope);
  return (other: Choosable) => under.terms(other.column);
}

/**
 * Where two choices one after the other lead to nothing, though each alone has posts. Of two facets any two choices
 * are a pair; within one facet only where all must match.
 * Cost: a walk of each term's posts.
 * @param first  how many pairs to name; all are counted
 * @param tell   told how much of it is done, from 0 to 1
 */
export function* prepareDeadEnds(
  index: PostIndex,
  lens: Lens,
  first = deadEndsShown,
  tell: (share: number) => void = () => undefined,
): Steps<DeadEnds> {
  const plan = planOf(index, lens);
  const facets = choosable(plan, lens);
  const terms = facets.reduce((sum, one) => sum + one.terms.length, 0);
  const between = new Map<string, DeadEnds['between'][number]>();
  const found: { a: Choice; b: Choice; rarer: number }[] = [];
  let walked = 0;
  for (const [i, one] of facets.entries()) {
    const { facet } = one;
    const others = kindOf(facet).keepsOwn(facet) ? facets.slice(i) : facets.slice(i + 1);
    for (const a of one.terms) {
      withScratch(index, () => {
        const count = counter(index, plan, one, a);
        for (const other of others) {
          const key = `${i} ${other.facet.key}`;
          const counted = between.get(key) ?? { facets: [facet.key, other.facet.key], pairs: 0, dead: 0 };
          between.set(key, counted);
          const counts = count(other);
          for (const b of other.terms) {
            if (other === one && b <= a) continue;
            counted.pairs++;
            if (counts[b]! > 0) continue;
            counted.dead++;
            const rarer = Math.min(one.counts[a]!, other.counts[b]!);
            found.push({ a: choiceOf(one, a), b: choiceOf(other, b), rarer });
          }
        }
      });
      // a source of many terms has millions of such pairs: the least of them are let go as they come
      if (found.length > 20_000) found.splice(0, found.length, ...worstOf(found, first));
      tell(++walked / terms);
      yield;
    }
  }
  const all = [...between.values()];
  return {
    pairs: all.reduce((sum, { pairs }) => sum + pairs, 0),
    dead: all.reduce((sum, { dead }) => sum + dead, 0),
    between: all.filter(({ dead }) => dead > 0).sort((a, b) => b.dead - a.dead),
    worst: worstOf(found, first).map(({ a, b }) => ({ choices: [a, b], address: addressOf(index, lens, [a, b]) })),
  };
}

function worstOf<P extends { rarer: number }>(found: readonly P[], first: number): P[] {
  return firstOf(found.length, first, (x, y) => found[y]!.rarer - found[x]!.rarer || x - y).map((i) => found[i]!);
}

export function choiceOf({ facet, column, counts, labels }: Choosable, term: number): Choice {
  return { facet: facet.key, value: column.terms[term]!.slug, label: labels(term), count: counts[term]! };
}

/** The address at which some terms are chosen and nothing else. */
function addressOf(index: PostIndex, lens: Lens, choices: readonly Choice[]): string {
  const said = choices.map(({ facet, value }) => `${lens.address.prefix}${encodePart(facet)}=${encodePart(value)}`);
  return writeAddress(readAddress(said.join('&'), lens, index, 0).query);
}
