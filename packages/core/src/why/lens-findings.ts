import { planOf, withScratch, type Plan } from '../answer/plan.js';
import type { Steps } from '../engine/base/steps.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { FieldDescription } from '../fields/describe.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import { listed } from '../kinds/miss.js';
import type { Warning } from '../kinds/warning.js';
import { facetLabel } from '../lens/label.js';
import type { Lens } from '../lens/lens.js';
import { warningsOf } from '../lens/warnings.js';
import { choosable, counter, type Choosable } from './dead-ends.js';

/** Something about a lens that can't work or that visitors stumble over. */
export interface LensFinding {
  code: Warning['code'] | 'no-posts' | 'changes-nothing' | 'follows';
  facet: string;
  /** It can't work at all. */
  broken: boolean;
  /** A sentence that says what is so and what to do. */
  text: string;
}

/** Of how many posts a choice must tell another for one facet to follow from the other. */
const follows = 0.95;
/** Facets with more terms are no matter of one following from the other. */
const mostTermsCompared = 300;
/** How many posts a term has at least, on average: where each has one, it tells everything and means nothing. */
const fewPosts = 3;
/** A term that so many posts have is known without any choice. */
const commonplace = 0.7;

/**
 * What is wrong with a lens: its settings, terms nobody finds a post by, facets that change nothing, and those that say what
 * another says.
 */
export function* prepareFindings(index: PostIndex, lens: Lens): Steps<LensFinding[]> {
  const plan = planOf(index, lens);
  // an index of a source is made of its fields as they are described
  const fields = index.fields as readonly FieldDescription[];
  const settings = lens.facets.flatMap((facet) =>
    warningsOf(lens, facet, fields).map((warning): LensFinding => ({ ...warning, facet: facet.key })),
  );
  yield;
  const facets = choosable(plan, lens);
  const total = plan.scope.set.count;
  const found = facets.flatMap((one) => [...withoutPosts(plan, lens, one), ...changesNothing(one, total)]);
  const reported = new Set([...settings, ...found].filter(({ code }) => code !== 'no-posts').map(({ facet }) => facet));
  const compared = facets.filter(
    ({ facet, terms }) => !reported.has(facet.key) && terms.length > 1 && terms.length <= mostTermsCompared,
  );
  for (const one of compared) {
    for (const other of compared) {
      if (one === other || kindOf(one.facet).fields(one.facet)[0] === kindOf(other.facet).fields(other.facet)[0])
        continue;
      const share = shareTold(index, plan, one, other, total);
      yield;
      if (share < follows) continue;
      const text = `${said(index, lens, other.facet)} follows from ${said(index, lens, one.facet)} in ${Math.floor(share * 100)} % of posts. One of them may be enough.`;
      found.push({ code: 'follows', facet: other.facet.key, broken: false, text });
    }
  }
  return [...settings, ...found];
}

function said(index: PostIndex, lens: Lens, facet: Facet): string {
  return `“${facetLabel(facet, index.fields, lens)}”`;
}

/** Terms that stand there and find nothing. */
function withoutPosts(plan: Plan, lens: Lens, { facet, column, counts, labels }: Choosable): LensFinding[] {
  if (!('zero' in facet) || facet.zero === 'hide') return [];
  const shown = plan.facets[lens.facets.indexOf(facet)]!.shown?.shown;
  const empty = column.terms.flatMap((_, t) => ((shown?.[t] ?? 1) === 1 && counts[t] === 0 ? [labels(t)] : []));
  if (empty.length === 0) return [];
  const names = listed(empty.length > 3 ? [...empty.slice(0, 2), `${empty.length - 2} more`] : empty);
  const text = `${names} ${empty.length === 1 ? 'has' : 'have'} no post. Hide what has none, or shape the terms.`;
  return [{ code: 'no-posts', facet: facet.key, broken: false, text }];
}

/** A facet of which every choice gives all there is. */
function changesNothing({ facet, terms, counts }: Choosable, total: number): LensFinding[] {
  if (total === 0 || terms.length < 2 || terms.some((t) => counts[t] !== total)) return [];
  const text = 'Whatever is chosen here, all posts stay. Visitors do without it.';
  return [{ code: 'changes-nothing', facet: facet.key, broken: false, text }];
}

/** Of how many posts a choice in one facet tells what they have in another. */
function shareTold(index: PostIndex, plan: Plan, one: Choosable, other: Choosable, total: number): number {
  const posts = one.terms.reduce((sum, t) => sum + one.counts[t]!, 0);
  if (posts < fewPosts * one.terms.length) return 0;
  const telling = other.terms.filter((t) => other.counts[t]! < commonplace * total);
  if (telling.length < 2) return 0;
  let known = 0;
  for (const term of one.terms) {
    withScratch(index, () => {
      const counts = counter(index, plan, one, term)(other);
      known += telling.reduce((most, t) => Math.max(most, counts[t]!), 0);
    });
  }
  return known / posts;
}
