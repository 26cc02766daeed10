import { languagesOf, readLens, withKnownLocale, type Lens } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { isDeepStrictEqual } from 'node:util';
import type { DataSource } from 'typeorm';
import { notFound, Problem } from '../problem/problem.js';
import { Changes } from '../shared/changes.js';
import { ValueCache } from '../shared/value-cache.js';
import { mayBeSlug } from '../shared/slugs.js';
import { lensAt, newest } from '../studio/lenses/lens-rows.js';

/** A lens as it is answered: one object from change to change, so that what is worked out of it can be kept. */
export interface CachedLens {
  id: string;
  slug: string;
  name: string;
  sourceId: string;
  /** Slug of the source. */
  source: string;
  /** Origin that the source's bare links belong to. */
  site: string | null;
  /** Number of the release; null for the draft. */
  release: number | null;
  /** Tells this state of the lens from every other. */
  version: string;
  lens: Lens;
  /** The languages it can be read in, its own first. */
  languages: readonly string[];
}

type Which = 'release' | 'draft';

/** That a lens answers to another slug by now. */
class Moved extends Error {
  constructor(readonly slug: string) {
    super(`It is called ${slug} now.`);
  }
}

/** Holds the released and draft lenses that are being asked for. */
@Injectable()
export class LensCache {
  readonly #kept = new ValueCache<CachedLens>((name, before) => this.#load(name, before));

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    changes: Changes,
  ) {
    changes.on((change) => {
      if (change === 'everything') this.#kept.doubtAll();
      // a source's change may bear on any lens of it; they are few and quickly read again. Terms and few posts bear on none,
      // and what is worked out of a lens is kept by it
      else if (change.kind === 'source') {
        if (!change.few) this.#kept.forgetAll();
      } else for (const which of ['release', 'draft']) this.#kept.forget(`${which} ${change.slug}`);
    });
  }

  async of(slug: string, which: Which): Promise<CachedLens> {
    if (!mayBeSlug(slug)) throw notFound('lens', slug);
    try {
      return await this.#kept.get(`${which} ${slug}`);
    } catch (error) {
      // what is kept is kept under the slug that it has
      if (error instanceof Moved) return this.#kept.get(`${which} ${error.slug}`);
      throw error;
    }
  }

  /** @param before  returned itself while nothing about it changed, since what is worked out of it is kept by it */
  async #load(name: string, before: CachedLens | undefined): Promise<CachedLens> {
    const [which, slug] = name.split(' ') as [Which, string];
    const { manager } = this.database;
    const row = await lensAt(manager, slug);
    if (!row) throw notFound('lens', slug);
    if (row.slug !== slug) throw new Moved(row.slug);
    const release = which === 'release' ? await newest(manager, row.id) : null;
    if (which === 'release' && !release) {
      throw new Problem(404, 'not-released', `“${row.name}” has no release yet. Publish it on its bench first.`);
    }
    const version = release ? `r${release.id}` : `d${row.id.slice(0, 8)}-${row.draftRevision}`;
    const about = {
      id: row.id,
      slug,
      name: row.name,
      sourceId: row.sourceId,
      source: row.source.slug,
      site: row.source.site,
    };
    if (before?.version === version && isDeepStrictEqual(about, aboutOf(before))) return before;
    const read = readLens(release ? release.config : row.draft);
    if (!read.ok) throw new Problem(500, 'bad-config', 'The kept lens can’t be read any more.');
    const lens = withKnownLocale(read.value);
    return { ...about, release: release?.number ?? null, version, lens, languages: languagesOf(lens) };
  }
}

function aboutOf({ id, slug, name, sourceId, source, site }: CachedLens): Partial<CachedLens> {
  return { id, slug, name, sourceId, source, site };
}
