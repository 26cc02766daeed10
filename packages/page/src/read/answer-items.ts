import {
  answerWith,
  kindOf,
  type AnswerIn,
  type FacetAnswer,
  type Notice,
  type PostIndex,
  type Query,
} from '@ivy/core';

/** An answer that tells of a page's own items by the elements they are. */
export type ItemsAnswer = AnswerIn<FacetAnswer, HTMLElement>;

/**
 * Answers a query over the items of a page.
 * @param items  in the order they were read in, which is what they are called by in the index
 */
export function answerItems(
  index: PostIndex,
  query: Query,
  notices: readonly Notice[],
  items: readonly HTMLElement[],
): ItemsAnswer {
  return answerWith(index, query, notices, {
    facet: (facet, plan, selection, chosen, under) => kindOf(facet).answer(facet, plan, selection, chosen, under),
    item: (_plan, post) => items[Number(index.idOf(post))]!,
  });
}
