import type { Answer, Placed, Settings } from '@ivy/core';
import { shapeName, type Shape } from '../listing/shape.js';

/** Lines of a facet that are worth drawing. */
const mostLines = 8;

/** Keeps the shape that a listing has, for when it comes again. */
export function keepShape(
  listing: string,
  { look, card, facets }: Settings,
  { arrangement, picture }: Placed,
  sheet: string | undefined,
  answer: Answer,
): void {
  const seen = facets.filter(({ visible }) => visible);
  const shape: Shape = {
    look,
    sheet,
    hasFacets: seen.length > 0,
    cards: Math.min(12, answer.pageSize),
    hasPictures: !/list|table/.test(arrangement) && picture !== 'none' && card.some(({ show }) => show === 'picture'),
    lines: seen.map(({ key, folded }) => {
      const facet = answer.facets.find((one) => one.key === key);
      return folded ? 0 : Math.min(mostLines, facet && 'options' in facet ? facet.options.length : 1);
    }),
  };
  try {
    localStorage.setItem(shapeName(listing), JSON.stringify(shape));
  } catch {
    // a full or forbidden store only forgets
  }
}
