import type { Lens } from '@ivy/core';
import { isDeepStrictEqual } from 'node:util';
import type { LensRow } from '../../database/lens.entity.js';
import type { Release } from '../../database/release.entity.js';
import { wholeConfig } from './lens-config.js';

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
  /** When visitors last asked for its release, to the minute; null: never. */
  askedAt: string | null;
}

export interface LensView extends LensSummary {
  draft: Lens;
  draftRevision: number;
  /** Number of the release that took the draft’s place, while that can be taken back. */
  restored: number | null;
}

/** A lens whose draft was replaced, and where that is undone. */
export interface LensRestored extends LensView {
  /** Path to POST to. */
  undo: string;
}

/** One thing that differs between two states of a lens, in words. */
export interface ReleaseChange {
  /** Key of the facet it is about; left out for the listing as a whole. */
  facet?: string;
  headline: string;
  /** How it was and how it becomes, where that can be said in a word; else ''. */
  text: string;
  /** Addresses that were live find something else by it, or nothing. */
  breaks: boolean;
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

/** A lens as lists have it. */
export function summaryOf(lens: LensRow, release: Release | null): LensSummary {
  return {
    slug: lens.slug,
    name: lens.name,
    source: lens.source.slug,
    release: release?.number ?? null,
    changed: !release || !isDeepStrictEqual(wholeConfig(release.config), wholeConfig(lens.draft)),
    updatedAt: lens.updatedAt.toISOString(),
    askedAt: lens.askedAt?.toISOString() ?? null,
  };
}

/** A lens with its draft. */
export function viewOf(lens: LensRow, release: Release | null): LensView {
  return {
    ...summaryOf(lens, release),
    draft: wholeConfig(lens.draft),
    draftRevision: lens.draftRevision,
    restored: lens.before?.release ?? null,
  };
}
