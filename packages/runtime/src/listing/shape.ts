import type { Placed, Settings } from '@ivy/core';

/** What a listing looks like, so that what stands in its place while it loads has the same shape. */
export interface Shape {
  look: Settings['look'];
  /** Its own rules, where it has been here. */
  sheet?: string;
  hasFacets: boolean;
  cards: number;
  hasPictures: boolean;
  /** Lines of each facet. */
  lines: number[];
}

const beside = { facets: 'side', columns: 3, folded: {} } as unknown as Placed;

/** Of a listing that was never here: what most look like. */
const usual: Shape = {
  look: { tabletFrom: 640, desktopFrom: 1000, phone: { ...beside, facets: 'sheet' }, tablet: beside, desktop: beside },
  hasFacets: true,
  cards: 6,
  hasPictures: true,
  lines: [5, 3, 4],
};

/** What a listing’s shape is kept by. */
export const shapeName = (listing: string) => `ivy-lens-shape:${listing}`;

/** The shape that a listing had when it was last here. */
export function readShape(listing: string): Shape {
  try {
    const kept = JSON.parse(localStorage.getItem(shapeName(listing)) ?? '{}') as Shape;
    return kept.look && Array.isArray(kept.lines) ? { ...usual, ...kept } : usual;
  } catch {
    return usual;
  }
}
