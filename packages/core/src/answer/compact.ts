import type { PostIndex } from '../engine/index/post-index.js';
import { kindOf, type FacetAnswer } from '../kinds/kinds.js';
import type { Lens } from '../lens/lens.js';
import type { Query } from '../lens/query.js';
import type { CompactCounts, CompactItem, CompactRange, FacetFrame, FrameTerm } from '../model/compact.js';
import type { Notice } from '../model/notice.js';
import { answerWith, type AnswerIn } from './answer.js';
import { compactItemOf, compactItemPlan, type CompactItemPlan } from './compact-items.js';
import { planOf, type Plan } from './plan.js';

/** What of a lens's answers stays the same from choice to choice. */
export interface Frame {
  /** Lists of terms, by what they are called: the field they are of. */
  terms: Record<string, FrameTerm[]>;
  /** By facet in the lens's order; null where nothing stays the same. */
  facets: (FacetFrame | null)[];
  /** Keys of the fields that posts carry. */
  fields: string[];
  /** Place of the field of titles among them; -1 where it is not there. */
  titleAt: number;
}

/** What a compact answer holds of a facet: what its frame leaves open, or, where it has none, the whole. */
export type CompactFacet = CompactCounts | CompactRange<string> | CompactRange<number> | FacetAnswer;

/** An answer for a page that has its frame already: the same, without a word that it knows. */
export type CompactAnswer = AnswerIn<CompactFacet, CompactItem>;

/** What pages are sent once of a lens on an index. */
export function frameOf(index: PostIndex, lens: Lens): Frame {
  const plan = planOf(index, lens);
  const terms: Frame['terms'] = {};
  const frameTerms = (all: readonly { slug: string; label: string }[]) =>
    all.map(({ slug, label }): FrameTerm => [slug, label]);
  const facets = lens.facets.map((facet, i) => {
    const frame = kindOf(facet).frame?.(facet, plan.facets[i]!) ?? null;
    if (frame) terms[frame.of] ??= frameTerms(plan.facets[i]!.terms!.terms);
    return frame;
  });
  const { fields, numbered, titleAt } = itemsOf(index, plan);
  for (const key of numbered) terms[key] ??= frameTerms(index.termList(key)!.terms);
  return { terms, facets, fields: fields.map(({ key }) => key), titleAt };
}

/** Answers a query as `answer` does, for a page that has the frame: `expandAnswer` gives the very answer again. */
export function answerCompactly(index: PostIndex, query: Query, notices: readonly Notice[] = []): CompactAnswer {
  return answerWith(index, query, notices, {
    facet: (facet, plan, selection, chosen, under): CompactFacet => {
      const kind = kindOf(facet);
      return (
        kind.compact?.(facet, plan, selection, chosen, under) ?? kind.answer(facet, plan, selection, chosen, under)
      );
    },
    item: (plan, post, found) => compactItemOf(itemsOf(index, plan), plan.items, index, post, found),
  });
}

const plans = new WeakMap<Plan, CompactItemPlan>();

function itemsOf(index: PostIndex, plan: Plan): CompactItemPlan {
  let items = plans.get(plan);
  if (!items) plans.set(plan, (items = compactItemPlan(index, plan.items)));
  return items;
}
