import type { RawRecord } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { randomUUID } from 'node:crypto';
import type { DataSource, EntityManager } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import { postsAsked } from '../../database/posts-asked.js';
import { Source } from '../../database/source.entity.js';
import { Run } from '../../database/run.entity.js';
import { termColumns } from '../../database/term-rows.js';
import { isTaken } from '../../database/unique.js';
import { markDeleted } from '../deleted/soft-delete.js';
import type { FoundList, PostList } from './posts.js';
import { IntakePool, type IntakeWatcher } from '../intake/intake-pool.js';
import type { FilesOnDisk } from '../intake/given-files.js';
import type { LiveColumns } from '../live/live-rows.js';
import { notFound, Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { freeSlug, mayBeSlug } from '../../shared/slugs.js';

/** Files on disk, and what was said about them. */
export interface Intake {
  given: FilesOnDisk;
  /** Bytes. */
  size: number;
  fileName: string;
  name?: string;
  slug?: string;
  site?: string;
  /** Where they came from, and come from again. */
  live?: LiveColumns;
}

@Injectable()
export class SourcesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly changes: Changes,
    private readonly pool: IntakePool,
  ) {}

  list(): Promise<Source[]> {
    return this.database.getRepository(Source).find({ order: { updatedAt: 'DESC', slug: 'ASC' } });
  }

  async find(slug: string): Promise<Source> {
    const source = await this.findIfThere(slug);
    if (!source) throw notFound('source', slug);
    return source;
  }

  async findIfThere(slug: string): Promise<Source | null> {
    return mayBeSlug(slug) ? this.database.getRepository(Source).findOneBy({ slug }) : null;
  }

  byId(id: string): Promise<Source | null> {
    return this.database.getRepository(Source).findOneBy({ id });
  }

  /**
   * Brings a file in as a new source: everything in one transaction, or nothing.
   * @param watcher  called with where it stands
   */
  async bringIn(intake: Intake, signal = new AbortController().signal, watcher: IntakeWatcher = {}): Promise<Source> {
    const { given, size, fileName, slug = null, site = null, live = null } = intake;
    const name = intake.name?.trim() || nameOf(fileName);
    const sources = this.database.getRepository(Source);
    // told before the file is read, since that may take long; it is looked at again when it is kept
    if (slug !== null && (await sources.existsBy({ slug }))) throw slugTaken(slug);
    const { url } = this.database.options as { url: string };
    const id = randomUUID();
    const task = { id, given, fileName, name, slug, site, live, databaseUrl: url };
    try {
      await this.pool.read(task, size, signal, watcher);
    } catch (error) {
      // a thread that was stopped may have been about to commit: of what is cancelled nothing is kept
      if (signal.aborted) await sources.delete({ id });
      throw error;
    }
    return sources.findOneByOrFail({ id });
  }

  /**
   * Takes a source away, for a day in which it can be brought back.
   * @param withLenses  whether lenses on it go with it; else it stays while there is one
   */
  async remove(slug: string, withLenses: boolean): Promise<void> {
    const at = new Date();
    const { id, lenses } = await this.database.transaction(async (manager) => {
      const source = await lockSource(manager, slug);
      const lenses = await manager.findBy(LensRow, { sourceId: source.id });
      if (lenses.length > 0 && !withLenses) {
        const names = lenses.map((lens) => lens.name).join(', ');
        throw new Problem(409, 'source-in-use', `The source is used by ${names}. Delete that lens first.`);
      }
      const slugs = lenses.map((lens) => lens.slug);
      for (const lens of lenses) await manager.save(markDeleted(lens, at));
      await manager.save(markDeleted(source, at));
      for (const lens of slugs) await this.changes.note(manager, { kind: 'lens', slug: lens });
      await this.changes.note(manager, { kind: 'source', id: source.id });
      return { id: source.id, lenses: slugs };
    });
    for (const lens of lenses) void this.changes.tell({ kind: 'lens', slug: lens });
    void this.changes.tell({ kind: 'source', id });
  }

  /** Calls a source otherwise, or has it answer to another slug: what refers to it goes on doing so. */
  async change(slug: string, { name, slug: wanted, site }: SourceChange): Promise<Source> {
    try {
      const source = await this.database.transaction(async (manager) => {
        const found = await lockSource(manager, slug);
        if (name !== undefined) found.name = name.trim();
        if (site !== undefined) found.site = site;
        if (wanted !== undefined && wanted !== slug) {
          found.slug = wanted;
          await referTo(manager, slug, wanted);
        }
        await manager.save(found);
        await this.changes.note(manager, { kind: 'source', id: found.id });
        return found;
      });
      void this.changes.tell({ kind: 'source', id: source.id });
      return source;
    } catch (error) {
      if (isTaken(error)) throw slugTaken(wanted ?? slug);
      throw error;
    }
  }

  /** Found posts with the records they were read from. */
  async withRecords(sourceId: string, found: FoundList): Promise<PostList> {
    const rows: { id: string; raw: RawRecord }[] = await this.database.query(`SELECT id, raw FROM ${postsAsked}`, [
      sourceId,
      found.items.map(({ id }) => id),
    ]);
    const raws = new Map(rows.map(({ id, raw }) => [id, raw]));
    return { ...found, items: found.items.map((post) => ({ ...post, raw: raws.get(post.id) ?? {} })) };
  }

  /** Records of a source as they came, some at a time, in their order. */
  async *records(sourceId: string): AsyncGenerator<RawRecord[]> {
    let last = { position: -1, id: '' };
    for (;;) {
      // each asked for by itself, so that whoever takes long to fetch them holds no transaction open
      const rows: { id: string; position: number; raw: RawRecord }[] = await this.database.query(
        `SELECT id, position, raw FROM post WHERE source_id = $1 AND (position, id) > ($2, $3)
         ORDER BY position, id LIMIT 500`,
        [sourceId, last.position, last.id],
      );
      if (rows.length === 0) return;
      yield rows.map(({ raw }) => raw);
      last = rows.at(-1)!;
    }
  }

  /** Records of some posts as they came, in the order of their ids, some at a time. */
  async *recordsOf(sourceId: string, ids: readonly string[]): AsyncGenerator<RawRecord[]> {
    for (let from = 0; from < ids.length; from += 500) {
      const some = ids.slice(from, from + 500);
      const rows: { id: string; raw: RawRecord }[] = await this.database.query(`SELECT id, raw FROM ${postsAsked}`, [
        sourceId,
        some,
      ]);
      const raws = new Map(rows.map(({ id, raw }) => [id, raw]));
      yield some.flatMap((id): RawRecord[] => {
        const raw = raws.get(id);
        return raw ? [raw] : [];
      });
    }
  }

  /** A second source with the same posts, fields and terms. */
  async copy(slug: string): Promise<Source> {
    const id = randomUUID();
    return this.database.transaction(async (manager) => {
      const source = await lockSource(manager, slug);
      const taken = new Set((await manager.find(Source, { select: { slug: true } })).map((one) => one.slug));
      const { createdAt: _created, updatedAt: _updated, ...rest } = source;
      const name = `${source.name.slice(0, 110)}, copy`;
      const made = await manager.save(
        manager.create(Source, {
          ...rest,
          id,
          name,
          slug: freeSlug(name, taken),
          revision: 1,
          shapedFrom: 0,
          shapedUntil: null,
          shapedTo: 0,
        }),
      );
      await manager.query(
        `INSERT INTO post (source_id, id, position, raw, "values", left_by)
         SELECT $2, id, position, raw, "values", left_by FROM post WHERE source_id = $1`,
        [source.id, id],
      );
      await manager.query(
        `INSERT INTO term (source_id, field, ${termColumns.join(', ')})
         SELECT $2, field, ${termColumns.join(', ')} FROM term WHERE source_id = $1`,
        [source.id, id],
      );
      await manager.save(
        manager.create(Run, {
          ...{ sourceId: id, how: 'file' as const, fileName: source.fileName, added: source.posts },
          ...{ changed: 0, unchanged: 0, removed: 0, total: source.posts, rejected: source.rejected, made: {} },
        }),
      );
      return made;
    });
  }
}

/** What may be said of a source. */
export interface SourceChange {
  name?: string;
  slug?: string;
  site?: string | null;
}

async function lockSource(manager: EntityManager, slug: string): Promise<Source> {
  const source =
    mayBeSlug(slug) && (await manager.findOne(Source, { where: { slug }, lock: { mode: 'pessimistic_write' } }));
  if (!source) throw notFound('source', slug);
  return source;
}

/** Has fields that stand for posts of a source know it by its new slug. */
async function referTo(manager: EntityManager, before: string, after: string): Promise<void> {
  for (const source of await manager.find(Source)) {
    if (!source.fields.some(({ reference }) => reference?.source === before)) continue;
    source.fields = source.fields.map((field) =>
      field.reference?.source === before ? { ...field, reference: { ...field.reference, source: after } } : field,
    );
    await manager.save(source);
  }
}

function slugTaken(slug: string): Problem {
  return new Problem(409, 'slug-taken', `A source called “${slug}” is there already. Choose another name.`);
}

function nameOf(fileName: string): string {
  const bare = fileName
    .slice(-200)
    .replace(/\.[a-z0-9]+$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  return bare === '' ? 'Posts' : bare[0]!.toUpperCase() + bare.slice(1, 120);
}
