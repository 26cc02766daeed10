import type { Answer, Settings } from '@ivy/core';

/** What a listing looks like, so that what stands in its place while it loads has the same shape. */
export interface Shape {
  facets: Settings['look']['facets'] | 'none';
  columns: number;
  cards: number;
  hasPictures: boolean;
  /** Lines of each facet. */
  lines: number[];
}

/** Of a listing that was never here: what most look like. */
const usual: Shape = { facets: 'side', columns: 3, cards: 6, hasPictures: true, lines: [5, 3, 4] };

/** Lines of a facet that are worth drawing. */
const mostLines = 8;

const nameOf = (listing: string) => `ivy-lens-shape:${listing}`;

/** The shape that a listing had when it was last here. */
export function readShape(listing: string): Shape {
  try {
    const kept = JSON.parse(localStorage.getItem(nameOf(listing)) ?? '{}') as Shape;
    return Array.isArray(kept.lines) ? { ...usual, ...kept } : usual;
  } catch {
    return usual;
  }
}

export function keepShape(listing: string, { look, card, facets }: Settings, answer: Answer): void {
  const seen = facets.filter(({ visible }) => visible);
  const shape: Shape = {
    facets: seen.length > 0 ? look.facets : 'none',
    columns: look.columns,
    cards: Math.min(12, answer.pageSize),
    hasPictures: card.some(({ show }) => show === 'picture'),
    lines: seen.map(({ key, folded }) => {
      const facet = answer.facets.find((one) => one.key === key);
      return folded ? 0 : Math.min(mostLines, facet && 'options' in facet ? facet.options.length : 1);
    }),
  };
  try {
    localStorage.setItem(nameOf(listing), JSON.stringify(shape));
  } catch {
    // a full or forbidden store only forgets
  }
}
