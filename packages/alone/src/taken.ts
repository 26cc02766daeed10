import type { Lens } from '@ivy/core';

/** A lens as it is taken along. */
export interface Taken {
  /** What elements call it. */
  slug: string;
  name: string;
  /** Slug of its source: what visitors mark is kept by it. */
  source: string;
  /** Where addresses of its posts belong to; null where nobody said. */
  site: string | null;
  release: number;
  lens: Lens;
  /** An index of its posts as a snapshot, in base64. */
  posts: string;
}

/**
 * Stands in the script for what is taken along, which is written in its place. A text, since browsers read one by
 * `JSON.parse` faster than they read as much script.
 */
export const place = '@@ivy-taken@@';

export function takenHere(): Taken {
  return JSON.parse(place) as Taken;
}
