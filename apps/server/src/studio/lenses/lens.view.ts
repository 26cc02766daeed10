import type { Lens } from '@ivy/core';

/** A lens in a list. */
export interface LensSummary {
  slug: string;
  name: string;
  /** Slug of its source. */
  source: string;
  /** Number of the newest release. */
  release: number | null;
  /** Whether the draft differs from the newest release. */
  changed: boolean;
  /** Moment, as ISO 8601 writes it. */
  updatedAt: string;
}

export interface LensView extends LensSummary {
  draft: Lens;
  draftRevision: number;
}

export interface ReleaseView {
  number: number;
  note: string;
  /** Moment, as ISO 8601 writes it. */
  createdAt: string;
  config: Lens;
}

export interface ReleaseMade {
  number: number;
}
