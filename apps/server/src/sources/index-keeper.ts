import { buildIndex, type Collection, type PostIndex, type Term } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { PostRow } from '../database/post.entity.js';
import { Source } from '../database/source.entity.js';
import { TermRow } from '../database/term.entity.js';
import { Changes } from '../shared/changes.js';

/** An index and the revision of the source it was made from. */
export interface KeptIndex {
  revision: number;
  index: PostIndex;
}

/**
 * Holds one index a source, made from the database when first asked for and made anew after a change. An answer
 * takes its index once, so a swap in the middle never mixes two revisions.
 */
@Injectable()
export class IndexKeeper {
  readonly #kept = new Map<string, Promise<KeptIndex>>();

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    changes: Changes,
  ) {
    changes.on((change) => {
      if (change === 'everything') this.#kept.clear();
      else if (change.kind === 'source') this.#kept.delete(change.id);
    });
  }

  of(sourceId: string): Promise<KeptIndex> {
    let kept = this.#kept.get(sourceId);
    if (!kept) {
      kept = this.#build(sourceId);
      this.#kept.set(sourceId, kept);
      // a failed build must not be remembered: the next request tries again
      kept.catch(() => this.#kept.delete(sourceId));
    }
    return kept;
  }

  async #build(sourceId: string): Promise<KeptIndex> {
    // one snapshot for all three reads, so that posts and terms are of one revision
    return this.database.transaction('REPEATABLE READ', async (manager) => {
      const source = await manager.findOneByOrFail(Source, { id: sourceId });
      const terms = await manager.find(TermRow, { where: { sourceId }, order: { field: 'ASC', position: 'ASC' } });
      const posts = await manager
        .createQueryBuilder(PostRow, 'post')
        .select(['post.id AS id', 'post.values AS values'])
        .where('post.source_id = :sourceId', { sourceId })
        .orderBy('post.position')
        .getRawMany<Collection['posts'][number]>();
      const index = buildIndex({ fields: source.fields, taxonomies: taxonomiesOf(terms), posts });
      return { revision: source.revision, index };
    });
  }
}

function taxonomiesOf(rows: readonly TermRow[]): Record<string, Term[]> {
  const taxonomies: Record<string, Term[]> = {};
  for (const { field, slug, label, parent, hidden, aliases } of rows) {
    (taxonomies[field] ??= []).push({ slug, label, parent, hidden, aliases });
  }
  return taxonomies;
}
