import { AddressWriter } from '../address/write.js';
import type { PostIndex } from '../engine/index/post-index.js';
import type { Counted } from '../engine/index/counting.js';
import type { FacetPlan } from '../kinds/kind.js';
import { kindOf, type Facet } from '../kinds/kinds.js';
import type { Answer } from '../lens/answer.js';
import { selectionsOf, type Query } from '../lens/query.js';
import { isOwnOrder, sortOf } from '../lens/sort.js';
import type { Notice } from '../model/notice.js';
import type { Selection } from '../model/selection.js';
import { markerOf, type Marker } from '../engine/words/marks.js';
import type { Search } from '../engine/words/search.js';
import type { TextIndex } from '../engine/words/text-index.js';
import { firstStacked, pageSizeOf } from '../paging/paging.js';
import { itemOf } from './items.js';
import { orderingOf, withPinned } from './ordering.js';
import { otherPosts } from './others.js';
import { passing } from './passing.js';
import { rankedAhead } from './prepare-answer.js';
import { countedOf, passQuery, planOf, scopeCounted, withScratch, type Plan } from './plan.js';
import { waysOut } from './ways-out.js';

/**
 * Answers a query: total, matched, one page of posts, and every facet's options or histogram with exact counts.
 * A pure function of (index, query).
 * @param notices  what reading the address noted; the answer's own are put after them
 */
export function answer(index: PostIndex, query: Query, notices: readonly Notice[] = []): Answer {
  return answerWith(index, query, notices, {
    facet: (facet, plan, selection, chosen, under) => kindOf(facet).answer(facet, plan, selection, chosen, under),
    item: (plan, post, found) => itemOf(plan.items, index, post, found),
  });
}

/** In which form an answer tells of facets and of posts. */
export interface Form<F, I> {
  /** Of a facet, counted over the posts it is to be counted under. */
  facet: (
    facet: Facet,
    plan: FacetPlan,
    selection: Selection | undefined,
    chosen: readonly number[],
    under: Counted,
  ) => F;
  /** Of a post; `found` is the search it was found by, to mark where. */
  item: (plan: Plan, post: number, found: Found | null) => I;
}

/** An answer in some form. */
export type AnswerIn<F, I> = Omit<Answer, 'facets' | 'items' | 'others'> & { facets: F[]; items: I[]; others?: I[] };

/** Answers a query in some form. */
export function answerWith<F, I>(
  index: PostIndex,
  query: Query,
  notices: readonly Notice[],
  form: Form<F, I>,
): AnswerIn<F, I> {
  return withScratch(index, () => workOut(index, query, notices, form));
}

function workOut<F, I>(index: PostIndex, query: Query, notices: readonly Notice[], form: Form<F, I>): AnswerIn<F, I> {
  const { lens } = query;
  const plan = planOf(index, lens);
  const selections = selectionsOf(query);
  const passed = passQuery(index, plan.scope, lens, selections);
  const { all, leaveOneOut } = countedOf(plan, passed, selections);
  const found = searchIn(index, query);
  const said = found ? [...notices, ...respellings(found)] : notices.slice();

  const size = pageSizeOf(lens.paging, query.size ?? null);
  const pages = Math.max(1, Math.ceil(all.set.count / size));
  const page = Math.min(Math.max(query.page, 1), pages);
  if (page !== query.page) said.push(clamped(query.page, page));
  const first = query.from === undefined ? page : firstStacked(lens.paging, page, size, query.from);
  const [start, wanted] = [(first - 1) * size, (page - first + 1) * size];
  const canonical: Query = page === query.page ? query : { ...query, page };
  const sort = sortOf(query);
  const written = new AddressWriter(canonical, selections);
  const ahead = sort?.by === 'relevance' ? rankedAhead(query) : undefined;
  const pinned = isOwnOrder(query) ? [] : plan.pinned;
  const ordering = orderingOf(index, sort, found, query.seed ?? '');

  const answered: AnswerIn<F, I> = {
    address: written.whole,
    total: plan.scope.set.count,
    matched: all.set.count,
    page,
    pages,
    pageSize: size,
    sort: sort?.key ?? null,
    items: (ahead?.slice(start) ?? withPinned(index, all.set, pinned, ordering, start, wanted)).map((post) =>
      form.item(plan, post, found),
    ),
    facets: lens.facets.map((facet, i) => {
      const at = passed.places[i]!;
      const under = at < 0 || kindOf(facet).keepsOwn(facet) ? all : leaveOneOut(at);
      return form.facet(facet, plan.facets[i]!, selections[i], at < 0 ? noTerms : passed.terms[at]!, under);
    }),
    notices: said,
    ways: all.set.count === 0 ? waysOut(plan, query, passed) : [],
  };
  if (first < page) answered.from = first;
  if (all.set.count === 0) {
    const others = otherPosts(index, plan, query);
    if (others.length > 0) answered.others = others.map((post) => form.item(plan, post, null));
  }
  return answered;
}

const noTerms: readonly number[] = [];

/** How many posts match, and nothing else. */
export function countMatched(index: PostIndex, query: Query): number {
  const { lens } = query;
  let posts = scopeCounted(index, lens.scope).set;
  for (const facet of lens.facets) {
    const selection = query.selections[facet.key];
    if (selection) posts = posts.and(passing(index, lens, facet, selection));
  }
  return posts.count;
}

export interface Found {
  facet: Facet;
  fields: readonly string[];
  text: TextIndex;
  found: Search;
  marks: Marker;
}

/** The first search of a query, worked out. */
function searchIn(index: PostIndex, query: Query): Found | null {
  for (const facet of query.lens.facets) {
    const { finding, fields } = kindOf(facet);
    const selection = finding && query.selections[facet.key];
    if (selection?.type !== 'search') continue;
    const text = finding!.textIndex(index, facet);
    const found = finding!.search(index, facet, selection.text, index.arena);
    return { facet, fields: fields(facet), text, found, marks: markerOf(text, found.wanted) };
  }
  return null;
}

function respellings({ found, facet }: Found): Notice[] {
  return found.wanted.flatMap((one) =>
    one.respelled === null
      ? []
      : [
          {
            code: 'respelled' as const,
            facet: facet.key,
            value: one.respelled,
            text: `Nothing begins with “${one.words[0]}”, so “${one.respelled}” was searched for.`,
          },
        ],
  );
}

function clamped(asked: number, page: number): Notice {
  return { code: 'page-clamped', value: String(asked), text: `There is no page ${asked}, so page ${page} is shown.` };
}
