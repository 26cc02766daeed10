import type { Settings } from '@ivy/core';

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

/** What a listing’s shape is kept by. */
export const shapeName = (listing: string) => `ivy-lens-shape:${listing}`;

/** The shape that a listing had when it was last here. */
export function readShape(listing: string): Shape {
  try {
    const kept = JSON.parse(localStorage.getItem(shapeName(listing)) ?? '{}') as Shape;
    return Array.isArray(kept.lines) ? { ...usual, ...kept } : usual;
  } catch {
    return usual;
  }
}
