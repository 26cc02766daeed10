import { readLens, type Lens } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { notFound, Problem } from '../problem/problem.js';
import { Changes } from '../shared/changes.js';
import { LensRow } from '../database/lens.entity.js';
import { newest } from './lenses.service.js';

/** A lens as it is answered: one object from change to change, so that what is worked out of it can be kept. */
export interface KeptLens {
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
}

type Which = 'release' | 'draft';

/** Holds the released and draft lenses that are being asked for. */
@Injectable()
export class LensKeeper {
  readonly #kept = new Map<string, Promise<KeptLens>>();

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    changes: Changes,
  ) {
    changes.on((change) => {
      // a source's change may bear on any lens of it; they are few and quickly read again
      if (change === 'everything' || change.kind === 'source') this.#kept.clear();
      else for (const which of ['release', 'draft']) this.#kept.delete(`${which} ${change.slug}`);
    });
  }

  of(slug: string, which: Which): Promise<KeptLens> {
    const name = `${which} ${slug}`;
    let kept = this.#kept.get(name);
    if (!kept) {
      kept = this.#load(slug, which);
      this.#kept.set(name, kept);
      kept.catch(() => this.#kept.delete(name));
    }
    return kept;
  }

  async #load(slug: string, which: Which): Promise<KeptLens> {
    const { manager } = this.database;
    const row = await manager.findOne(LensRow, { where: { slug }, relations: { source: true } });
    if (!row) throw notFound('lens', slug);
    const release = which === 'release' ? await newest(manager, row.id) : null;
    if (which === 'release' && !release) {
      throw new Problem(404, 'not-released', `“${row.name}” has no release yet. Publish it on its bench first.`);
    }
    const read = readLens(release ? release.config : row.draft);
    if (!read.ok) throw new Problem(500, 'bad-config', 'The kept lens can’t be read any more.');
    return {
      slug,
      name: row.name,
      sourceId: row.sourceId,
      source: row.source.slug,
      site: row.source.site,
      release: release?.number ?? null,
      version: release ? `r${release.id}` : `d${row.id.slice(0, 8)}-${row.draftRevision}`,
      lens: read.value,
    };
  }
}
