import type { Answer, Settings } from '@ivy/core';
import { shapeName, type Shape } from '../listing/shape.js';

/** Lines of a facet that are worth drawing. */
const mostLines = 8;

/** Keeps the shape that a listing has, for when it comes again. */
export function keepShape(listing: string, { look, card, facets }: Settings, answer: Answer): void {
  const seen = facets.filter(({ visible }) => visible);
  const shape: Shape = {
    facets: seen.length > 0 ? look.facets : 'none',
    columns: /rows|list/.test(look.arrangement) ? 1 : look.columns,
    cards: Math.min(12, answer.pageSize),
    hasPictures: look.arrangement !== 'list' && card.some(({ show }) => show === 'picture'),
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
