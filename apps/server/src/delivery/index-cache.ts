import {
  answered,
  DamagedSnapshot,
  IndexBuilder,
  prepareChange,
  readSnapshot,
  writeSnapshot,
  type Change,
  type Post,
  type PostIndex,
  type Term,
} from '@ivy/core';
import { Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource, EntityManager } from 'typeorm';
import { postsAsked } from '../database/posts-asked.js';
import { Source } from '../database/source.entity.js';
import { termsByField } from '../database/term-rows.js';
import { TermRow } from '../database/term.entity.js';
import { Changes } from '../shared/changes.js';
import { ValueCache } from '../shared/value-cache.js';
import { inTurns } from '../shared/turns.js';

/** An index and the revision of the source it was made from. */
export interface CachedIndex {
  revision: number;
  index: PostIndex;
  /** Word indexes the kept snapshot of it holds; -1 while there is none. */
  keptTexts: number;
  /** Whether it was made from another by a change. */
  isChanged?: true;
  /** The index it was made from by a change of terms alone, for a while. */
  before?: CachedIndex;
}

/** What was read of a source: nothing new, its terms and what else changed, its snapshot, or its posts, taken apart. */
type Fetched =
  | { same: true }
  | { revision: number; from: CachedIndex; change: Change }
  | { revision: number; bytes: Uint8Array }
  | { revision: number; builder: IndexBuilder };

/** How long, in ms, an index is kept from before its terms were shaped: what is undone meanwhile needs it. */
const keptBefore = 10 * 60_000;
/** Of how many posts one must be touched at most for an index to be changed rather than made anew. */
const timesTouched = 5;
/** How long, in ms, nothing of an index that was changed is written down. */
const restBeforeSave = 30_000;

/**
 * Holds one index a source, read from its snapshot or made from the posts when first asked for, and made anew after a
 * change. An answer takes its index once, so a swap in the middle never mixes two revisions.
 */
@Injectable()
export class IndexCache implements OnModuleDestroy {
  readonly #log = new Logger('IndexCache');
  readonly #kept = new ValueCache<CachedIndex>((sourceId, before, isGiven) => this.#load(sourceId, before, isGiven));
  #saving: Promise<void> = Promise.resolve();
  /** Gets one ready that was made from another by a change, before it takes its place. */
  readyInstead: (before: CachedIndex, now: CachedIndex) => Promise<void> = () => Promise.resolve();

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    changes: Changes,
  ) {
    changes.on((change) => {
      if (change === 'everything') return this.#kept.doubtAll();
      if (change.kind !== 'source') return;
      if (!change.few) return this.#kept.expire(change.id);
      return this.#kept.renew(change.id).catch((error: unknown) => {
        this.#log.warn(`An index could not be brought up to date: ${String(error)}`);
      });
    });
  }

  async onModuleDestroy(): Promise<void> {
    await this.#saving;
  }

  of(sourceId: string): Promise<CachedIndex> {
    return this.#kept.get(sourceId);
  }

  /**
   * Keeps an index as bytes, if it holds more than what is kept, after the answers that wait. A snapshot only saves
   * time, so that one can't be written is noted and no more.
   */
  save(sourceId: string, kept: CachedIndex): void {
    if (kept.index.texts.length <= kept.keptTexts) return;
    kept.keptTexts = kept.index.texts.length;
    // one change follows another: what the last made is written once they rest
    if (kept.isChanged) setTimeout(() => this.#saveLater(sourceId, kept), restBeforeSave).unref();
    else this.#saveLater(sourceId, kept);
  }

  #saveLater(sourceId: string, kept: CachedIndex): void {
    this.#saving = this.#saving
      .then(() => new Promise((next) => setImmediate(next)))
      .then(() => this.#write(sourceId, kept))
      .catch((error: unknown) => this.#log.warn(`An index could not be kept: ${String(error)}`));
  }

  async #write(sourceId: string, { revision, index }: CachedIndex): Promise<void> {
    const isNewest = await this.database.getRepository(Source).existsBy({ id: sourceId, revision });
    if (!isNewest) return;
    const bytes = await inTurns(writeSnapshot(index));
    await this.database.transaction(async (manager) => {
      // a source that changed or went in the meantime keeps what belongs to it
      const taken: unknown[] = await manager.query(
        `INSERT INTO snapshot (source_id, revision, size)
         SELECT id, revision, $3 FROM source WHERE id = $1 AND revision = $2
         ON CONFLICT (source_id) DO UPDATE SET revision = $2, size = $3, made_at = now() WHERE snapshot.revision <= $2
         RETURNING source_id`,
        [sourceId, revision, bytes.length],
      );
      if (taken.length === 0) return;
      await manager.query('DELETE FROM snapshot_piece WHERE source_id = $1', [sourceId]);
      for (let n = 0; n * pieceBytes < bytes.length; n++) {
        const piece = Buffer.from(
          bytes.buffer,
          bytes.byteOffset + n * pieceBytes,
          Math.min(pieceBytes, bytes.length - n * pieceBytes),
        );
        await manager.query('INSERT INTO snapshot_piece (source_id, n, bytes) VALUES ($1, $2, $3)', [
          sourceId,
          n,
          piece,
        ]);
      }
    });
  }

  /**
   * @param before   returned itself while the source has not changed
   * @param isGiven  whether it is given until another is there
   */
  async #load(sourceId: string, before: CachedIndex | undefined, isGiven: boolean): Promise<CachedIndex> {
    const found = await this.#fetch(sourceId, before);
    if ('same' in found) return before!;
    const { revision } = found;
    if ('change' in found) {
      const made = await this.#change(revision, found.from, found.change);
      if (isGiven && before) await this.readyInstead(before, made);
      return made;
    }
    const index = 'bytes' in found ? await this.#read(found.bytes) : await inTurns(found.builder.finish());
    if (index) return { revision, index, keptTexts: 'bytes' in found ? index.texts.length : -1 };
    // a snapshot that can't be read: the posts themselves are read instead
    const posts = await this.#fetch(sourceId, undefined, false);
    if (!('builder' in posts)) throw new Error('The posts of a source were not read.');
    return { revision: posts.revision, index: await inTurns(posts.builder.finish()), keptTexts: -1 };
  }

  /** An index brought up to date by what changed. */
  async #change(revision: number, from: CachedIndex, change: Change): Promise<CachedIndex> {
    const index = await inTurns(prepareChange(from.index, change));
    const made: CachedIndex = { revision, index, keptTexts: -1, isChanged: true };
    // terms that posts lose are there still in the index before, for whoever takes that back; posts themselves are read again
    if (change.upsert.length > 0 || change.remove.length > 0) return made;
    setTimeout(() => delete made.before, keptBefore).unref();
    return Object.assign(made, { before: from });
  }

  /**
   * Reads what an index is made from, in one state of the database, so that posts and terms are of one revision. The
   * connection is given back before anything is worked out of it.
   */
  async #fetch(sourceId: string, known: CachedIndex | undefined, maySnapshot = true): Promise<Fetched> {
    return this.database.transaction('REPEATABLE READ', async (manager): Promise<Fetched> => {
      const source = await manager.findOneByOrFail(Source, { id: sourceId });
      const { revision } = source;
      if (revision === known?.revision) return { same: true };
      const from = known && changeable(source, known);
      const change = from && (await readChange(manager, sourceId, from));
      if (change) return { revision, from, change };
      const bytes = maySnapshot ? await snapshotOf(manager, sourceId, revision) : null;
      return bytes ? { revision, bytes } : { revision, builder: await readPostsOf(manager, source) };
    });
  }

  async #read(bytes: Uint8Array): Promise<PostIndex | null> {
    try {
      return await inTurns(readSnapshot(bytes));
    } catch (error) {
      if (!(error instanceof DamagedSnapshot)) throw error;
      this.#log.warn(`A kept index is not used, and made anew: ${error.message}`);
      return null;
    }
  }
}

/** Bytes of a snapshot that are sent or read in one go: they go as text or are copied, which takes long for many megabytes. */
const pieceBytes = 1 << 20;

/** Null where there is none of this revision. */
async function snapshotOf(manager: EntityManager, sourceId: string, revision: number): Promise<Uint8Array | null> {
  const [found]: { size: number }[] = await manager.query(
    'SELECT size FROM snapshot WHERE source_id = $1 AND revision = $2',
    [sourceId, revision],
  );
  if (!found) return null;
  const bytes = new Uint8Array(found.size);
  for (let n = 0, at = 0; at < bytes.length; n++) {
    const [piece]: { bytes: Buffer }[] = await manager.query(
      'SELECT bytes FROM snapshot_piece WHERE source_id = $1 AND n = $2',
      [sourceId, n],
    );
    if (!piece || piece.bytes.length > bytes.length - at) return null;
    bytes.set(piece.bytes, at);
    at += piece.bytes.length;
  }
  return bytes;
}

/** Posts that are read in one go: few enough that others need not wait for them to be taken apart. */
const readTogether = 500;

/** Takes the posts of a source apart as they come, so that they are never in memory all at once. */
async function readPostsOf(manager: EntityManager, { id, fields, posts: size }: Source): Promise<IndexBuilder> {
  const builder = new IndexBuilder(answered(fields), await readTaxonomies(manager, id), size);
  // in any order: the index has one of its own
  await manager.query(
    'DECLARE every_post NO SCROLL CURSOR FOR SELECT id, "values" FROM post WHERE source_id = $1 AND left_by = \'{}\'',
    [id],
  );
  for (;;) {
    const posts: Post[] = await manager.query(`FETCH ${readTogether} FROM every_post`);
    if (posts.length === 0) break;
    builder.add(posts);
  }
  await manager.query('CLOSE every_post');
  return builder;
}

/** The terms of a source that are there, by field. */
async function readTaxonomies(manager: EntityManager, sourceId: string): Promise<Record<string, Term[]>> {
  const rows = await manager.find(TermRow, {
    where: { sourceId, gone: false },
    order: { field: 'ASC', position: 'ASC' },
  });
  return termsByField(rows);
}

/** What changed of a source since an index was made; null where so much did that it is better made anew. */
async function readChange(manager: EntityManager, sourceId: string, from: CachedIndex): Promise<Change | null> {
  const touched: { id: string }[] = await manager.query(
    'SELECT DISTINCT unnest(touched) AS id FROM run WHERE source_id = $1 AND revision > $2',
    [sourceId, from.revision],
  );
  if (touched.length * timesTouched > from.index.size) return null;
  const ids = touched.map(({ id }) => id);
  const posts: Post[] =
    ids.length === 0
      ? []
      : await manager.query(`SELECT id, "values" FROM ${postsAsked} WHERE left_by = '{}'`, [sourceId, ids]);
  const here = new Set(posts.map(({ id }) => id));
  const remove = ids.filter((id) => !here.has(id));
  return { upsert: posts, remove, taxonomies: await readTaxonomies(manager, sourceId) };
}

/** An index of a source that terms and touched posts alone bring up to date, if that is so of one that is held. */
function changeable({ revision, shapedFrom, shapedUntil, shapedTo }: Source, held: CachedIndex): CachedIndex | null {
  if (shapedTo !== revision) return null;
  const isSound = (one: CachedIndex) =>
    one.revision >= shapedFrom && (shapedUntil === null || one.revision <= shapedUntil);
  // of the oldest one the least was lost
  const all = [held];
  for (let one = held.before; one; one = one.before) all.unshift(one);
  return all.find(isSound) ?? null;
}
