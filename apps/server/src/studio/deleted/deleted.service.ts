import { Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { IsNull, LessThan, Not, type DataSource, type EntityManager } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import { Source } from '../../database/source.entity.js';
import { notFound, Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { freeSlug } from '../../shared/slugs.js';
import { keptFor } from './soft-delete.js';

/** What was deleted and can be brought back. */
export interface DeletedView {
  id: string;
  kind: 'source' | 'lens';
  name: string;
  /** Posts of a source; of a lens, null. */
  posts: number | null;
  /** Names of the lenses that come back with a source; of a lens, none. */
  lenses: string[];
  /** Moments, as ISO 8601 writes them: when it was deleted, and until when it is kept. */
  at: string;
  until: string;
}

/** Where something that came back is now. */
export interface BroughtBack {
  kind: 'source' | 'lens';
  slug: string;
}

/** Milliseconds between looks for what has been kept long enough. */
const sweepEvery = 60 * 60_000;

/** Keeps what was deleted for a day, and brings it back. */
@Injectable()
export class DeletedService implements OnModuleInit, OnModuleDestroy {
  readonly #log = new Logger('Deleted');
  #timer: NodeJS.Timeout | undefined;

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly changes: Changes,
  ) {}

  async onModuleInit(): Promise<void> {
    await this.sweep();
    this.#timer = setInterval(() => {
      this.sweep().catch((error: unknown) => this.#log.warn(`What was deleted could not be cleared: ${String(error)}`));
    }, sweepEvery).unref();
  }

  onModuleDestroy(): void {
    clearInterval(this.#timer);
  }

  async list(): Promise<DeletedView[]> {
    const { manager } = this.database;
    const lenses = await gone(manager, LensRow);
    const sources = await gone(manager, Source);
    const withSource = (source: Source) => lenses.filter((lens) => wentWith(lens, source));
    const alone = lenses.filter((lens) => !sources.some((source) => wentWith(lens, source)));
    const views = [
      ...sources.map((source) =>
        viewOf(
          'source',
          source,
          source.posts,
          withSource(source).map(({ name }) => name),
        ),
      ),
      ...alone.map((lens) => viewOf('lens', lens, null, [])),
    ];
    return views.sort((a, b) => b.at.localeCompare(a.at));
  }

  /** Brings something back under the slug it had, or one like it where that is taken; a source with the lenses that went with it. */
  async restore(id: string): Promise<BroughtBack> {
    const made = await this.database.transaction(async (manager) => {
      const source = await manager.findOne(Source, { where: { id, deletedAt: Not(IsNull()) }, withDeleted: true });
      if (source) {
        const lenses = (await gone(manager, LensRow)).filter((lens) => wentWith(lens, source));
        await bringBack(manager, Source, source);
        for (const lens of lenses) await bringBack(manager, LensRow, lens);
        return { kind: 'source' as const, source, lenses };
      }
      const lens = await manager.findOne(LensRow, { where: { id, deletedAt: Not(IsNull()) }, withDeleted: true });
      if (!lens) throw notFound('deleted thing', id.slice(0, 100));
      if (!(await manager.existsBy(Source, { id: lens.sourceId }))) {
        throw new Problem(409, 'source-deleted', 'The source of this lens is deleted as well. Bring that back first.');
      }
      await bringBack(manager, LensRow, lens);
      return { kind: 'lens' as const, source: null, lenses: [lens] };
    });
    const { kind, source, lenses } = made;
    if (source) void this.changes.tell({ kind: 'source', id: source.id });
    for (const { slug } of lenses) void this.changes.tell({ kind: 'lens', slug });
    return { kind, slug: source?.slug ?? lenses[0]!.slug };
  }

  /** Takes away for good what has been kept for a day. */
  async sweep(now = Date.now()): Promise<void> {
    const deletedAt = LessThan(new Date(now - keptFor));
    await this.database.getRepository(LensRow).delete({ deletedAt });
    await this.database.getRepository(Source).delete({ deletedAt });
  }
}

function gone<Row extends Source | LensRow>(manager: EntityManager, entity: new () => Row): Promise<Row[]> {
  return manager.find(entity, { where: { deletedAt: Not(IsNull()) } as object, withDeleted: true });
}

/** Whether a lens was deleted together with its source. */
function wentWith(lens: LensRow, source: Source): boolean {
  return lens.sourceId === source.id && lens.deletedAt!.getTime() === source.deletedAt!.getTime();
}

async function bringBack<Row extends Source | LensRow>(
  manager: EntityManager,
  entity: new () => Row,
  row: Row,
): Promise<void> {
  const taken = new Set((await manager.find(entity)).map(({ slug }) => slug));
  row.slug = taken.has(row.deletedSlug!) ? freeSlug(row.deletedSlug!, taken) : row.deletedSlug!;
  row.deletedAt = null;
  row.deletedSlug = null;
  await manager.save(row);
}

function viewOf(
  kind: DeletedView['kind'],
  { id, name, deletedAt }: Source | LensRow,
  posts: number | null,
  lenses: string[],
): DeletedView {
  const until = new Date(deletedAt!.getTime() + keptFor);
  return { id, kind, name, posts, lenses, at: deletedAt!.toISOString(), until: until.toISOString() };
}
