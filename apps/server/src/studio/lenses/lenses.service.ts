import { answered, keepNames, proposeLens, type Lens } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import { Source } from '../../database/source.entity.js';
import { isTaken } from '../../database/unique.js';
import { Problem } from '../../problem/problem.js';
import { markDeleted } from '../deleted/soft-delete.js';
import { Changes } from '../../shared/changes.js';
import { freeSlug, mayBeSlug } from '../../shared/slugs.js';
import type { CreateLensBody } from './lens.bodies.js';
import { readConfig, wholeConfig } from './lens-config.js';
import { findRow, isSpoken, lockRow, newest, overtaken } from './lens-rows.js';
import { summaryOf, viewOf, type LensSummary, type LensView } from './lens.view.js';

/** What a lens is to be called. */
interface Named {
  name: string;
  source: string;
  slug?: string;
}

@Injectable()
export class LensesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly changes: Changes,
  ) {}

  async list(): Promise<LensSummary[]> {
    const lenses = await this.database
      .getRepository(LensRow)
      .find({ relations: { source: true }, order: { updatedAt: 'DESC', slug: 'ASC' } });
    return Promise.all(lenses.map(async (lens) => summaryOf(lens, await newest(this.database.manager, lens.id))));
  }

  async view(slug: string): Promise<LensView> {
    const lens = await this.row(slug);
    return viewOf(lens, await newest(this.database.manager, lens.id));
  }

  async row(slug: string): Promise<LensRow> {
    return findRow(this.database.manager, slug);
  }

  async create(body: CreateLensBody): Promise<LensView> {
    const like = body.from === undefined ? null : await this.row(body.from);
    const wanted = body.source ?? like?.source.slug ?? '';
    const source = mayBeSlug(wanted) && (await this.database.getRepository(Source).findOneBy({ slug: wanted }));
    if (!source) throw noSource(wanted);
    const config = readConfig(body.config ?? like?.draft ?? proposeLens(answered(source.fields)), source.fields);
    const name = body.name ?? `${like?.name.slice(0, 110)}, copy`;
    const named = { name, source: source.slug, ...(body.slug !== undefined && { slug: body.slug }) };
    return this.#createAs(named, source, config);
  }

  /** Calls a lens otherwise, or has it answer to another slug: the one before goes on answering. */
  async change(slug: string, { name, slug: wanted }: { name?: string; slug?: string }): Promise<LensView> {
    const change = async () =>
      this.database.transaction(async (manager) => {
        const lens = await lockRow(manager, slug);
        if (name !== undefined) lens.name = name.trim();
        const before = lens.slug;
        if (wanted !== undefined && wanted !== before) {
          if (await isSpoken(manager, wanted, lens.id)) throw slugTaken(wanted);
          lens.former = [...lens.former.filter((one) => one !== wanted), before];
          lens.slug = wanted;
        }
        await manager.save(lens);
        const all = [before, lens.slug].map((one) => ({ kind: 'lens' as const, slug: one }));
        for (const one of all) await this.changes.note(manager, one);
        return { view: viewOf(lens, await newest(manager, lens.id)), all };
      });
    try {
      const { view, all } = await change();
      for (const one of all) void this.changes.tell(one);
      return view;
    } catch (error) {
      if (isTaken(error)) throw slugTaken(wanted ?? slug);
      throw error;
    }
  }

  async #createAs(body: Named, source: Source, config: Lens): Promise<LensView> {
    for (;;) {
      try {
        return await this.#keepNew(body, source.id, config);
      } catch (error) {
        if (!isTaken(error)) throw error;
        // someone else took the name this very moment: one that was found for them is found anew
        if (body.slug !== undefined) {
          throw slugTaken(body.slug);
        }
      }
    }
  }

  async #keepNew(body: Named, sourceId: string, draft: Lens): Promise<LensView> {
    return this.database.transaction(async (manager) => {
      // held until the lens is kept, so that the source does not go meanwhile
      const source = await manager.findOne(Source, { where: { id: sourceId }, lock: { mode: 'pessimistic_read' } });
      if (!source) throw noSource(body.source);
      const all = await manager.find(LensRow, { select: { slug: true, former: true } });
      const taken = new Set(all.flatMap((row) => [row.slug, ...row.former]));
      if (body.slug !== undefined && taken.has(body.slug)) throw slugTaken(body.slug);
      const slug = body.slug ?? freeSlug(body.name, taken);
      const { id } = await manager.save(manager.create(LensRow, { slug, name: body.name.trim(), sourceId, draft }));
      await this.changes.note(manager, { kind: 'lens', slug });
      const lens = await manager.findOneOrFail(LensRow, { where: { id }, relations: { source: true } });
      return viewOf(lens, null);
    });
  }

  async remove(slug: string): Promise<void> {
    await this.database.transaction(async (manager) => {
      const lens = await lockRow(manager, slug);
      await manager.save(markDeleted(lens, new Date()));
      await this.changes.note(manager, { kind: 'lens', slug });
    });
    void this.changes.tell({ kind: 'lens', slug });
  }

  /** Reads a config for a lens without keeping it. */
  async readFor(slug: string, config: object): Promise<{ lens: LensRow; config: Lens }> {
    const lens = await this.row(slug);
    return { lens, config: readConfig(config, lens.source.fields) };
  }

  /** Keeps a draft, if it was made from the newest one. */
  async saveDraft(slug: string, config: object, revision: number): Promise<LensView> {
    const view = await this.database.transaction(async (manager) => {
      const lens = await lockRow(manager, slug);
      const draft = readConfig(config, lens.source.fields);
      if (lens.draftRevision !== revision) throw overtaken(lens.draftRevision);
      const release = await newest(manager, lens.id);
      // what is checked and compared is what would go live: with every name that is, and so with those before it
      lens.draft = release ? keepNames(draft, [wholeConfig(release.config)]) : draft;
      lens.draftRevision++;
      await manager.save(lens);
      await this.changes.note(manager, { kind: 'lens', slug });
      return viewOf(lens, release);
    });
    void this.changes.tell({ kind: 'lens', slug });
    return view;
  }
}

function noSource(slug: string): Problem {
  return new Problem(400, 'bad-body', 'The source is not there. See errors.', [
    { pointer: '/source', message: `there is no source called “${slug.slice(0, 80)}”` },
  ]);
}

function slugTaken(slug: string): Problem {
  return new Problem(409, 'slug-taken', `A lens called “${slug}” is there already, or was. Choose another name.`);
}
