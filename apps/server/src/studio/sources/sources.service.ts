import type { FileFormat } from '@ivy/formats';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { randomUUID } from 'node:crypto';
import type { DataSource } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import { Source } from '../../database/source.entity.js';
import { isUsed } from '../../database/unique.js';
import { IntakePool, type IntakeWatcher } from '../intake/intake-pool.js';
import { notFound, Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { mayBeSlug } from '../../shared/slugs.js';

/** A file on disk, and what was said about it. */
export interface Intake {
  path: string;
  /** Bytes. */
  size: number;
  fileName: string;
  name?: string;
  slug?: string;
  format?: FileFormat;
  site?: string;
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
    const source = mayBeSlug(slug) && (await this.database.getRepository(Source).findOneBy({ slug }));
    if (!source) throw notFound('source', slug);
    return source;
  }

  /**
   * Brings a file in as a new source: everything in one transaction, or nothing.
   * @param watcher  called with where it stands
   */
  async bringIn(intake: Intake, signal = new AbortController().signal, watcher: IntakeWatcher = {}): Promise<Source> {
    const { path, size, fileName, slug = null, format = null, site = null } = intake;
    const name = intake.name?.trim() || nameOf(fileName);
    const sources = this.database.getRepository(Source);
    // told before the file is read, since that may take long; it is looked at again when it is kept
    if (slug !== null && (await sources.existsBy({ slug }))) throw slugTaken(slug);
    const { url } = this.database.options as { url: string };
    const id = randomUUID();
    const task = { id, path, fileName, name, slug, format, site, databaseUrl: url };
    try {
      await this.pool.read(task, size, signal, watcher);
    } catch (error) {
      // a thread that was stopped may have been about to commit: of what is cancelled nothing is kept
      if (signal.aborted) await sources.delete({ id });
      throw error;
    }
    return sources.findOneByOrFail({ id });
  }

  /** Takes a source away, unless a lens uses it. */
  async remove(slug: string): Promise<void> {
    const source = await this.find(slug);
    try {
      await this.database.transaction(async (manager) => {
        await manager.delete(Source, { id: source.id });
        await this.changes.note(manager, { kind: 'source', id: source.id });
      });
    } catch (error) {
      if (!isUsed(error)) throw error;
      const lenses = await this.database.getRepository(LensRow).findBy({ sourceId: source.id });
      const names = lenses.map((lens) => lens.name).join(', ');
      throw new Problem(409, 'source-in-use', `The source is used by ${names}. Delete that lens first.`);
    }
    this.changes.tell({ kind: 'source', id: source.id });
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
