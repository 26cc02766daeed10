import { answered, checkLens, proposeLens, readLens, type Field, type Lens } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { ArrayContains, type DataSource, type EntityManager } from 'typeorm';
import { isDeepStrictEqual } from 'node:util';
import { LensRow } from '../../database/lens.entity.js';
import { Release } from '../../database/release.entity.js';
import { Source } from '../../database/source.entity.js';
import { isTaken } from '../../database/unique.js';
import { notFound, Problem } from '../../problem/problem.js';
import { markDeleted } from '../deleted/soft-delete.js';
import { Changes } from '../../shared/changes.js';
import { freeSlug, mayBeSlug } from '../../shared/slugs.js';
import type { CreateLensBody } from './lens.bodies.js';
import type { LensSummary, LensView, ReleaseView } from './lens.view.js';

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
      lens.draft = draft;
      lens.draftRevision++;
      await manager.save(lens);
      await this.changes.note(manager, { kind: 'lens', slug });
      return viewOf(lens, await newest(manager, lens.id));
    });
    void this.changes.tell({ kind: 'lens', slug });
    return view;
  }

  /**
   * Makes the draft the next release. A draft that is the newest release already stays that one, however often it is
   * published.
   * @param revision  the draft that is meant; the newest where nothing is said
   */
  async publish(slug: string, note: string, revision: number | undefined): Promise<number> {
    const number = await this.database.transaction(async (manager) => {
      const lens = await lockRow(manager, slug);
      if (revision !== undefined && revision !== lens.draftRevision) throw overtaken(lens.draftRevision);
      // the source may have changed since the draft was kept
      const config = readConfig(lens.draft, lens.source.fields);
      const before = await newest(manager, lens.id);
      if (before && isDeepStrictEqual(wholeConfig(before.config), config)) return before.number;
      const number = (before?.number ?? 0) + 1;
      await manager.save(manager.create(Release, { lensId: lens.id, number, config, note }));
      await this.changes.note(manager, { kind: 'lens', slug });
      return number;
    });
    void this.changes.tell({ kind: 'lens', slug });
    return number;
  }

  async releases(slug: string): Promise<ReleaseView[]> {
    const lens = await this.row(slug);
    const releases = await this.database
      .getRepository(Release)
      .find({ where: { lensId: lens.id }, order: { number: 'DESC' } });
    return releases.map(({ number, note, createdAt, config }) => ({
      number,
      note,
      config: wholeConfig(config),
      createdAt: createdAt.toISOString(),
    }));
  }

  /** Makes an earlier release the draft. Visitors keep what they have until it is published. */
  async restore(slug: string, number: number): Promise<LensView> {
    const view = await this.database.transaction(async (manager) => {
      const lens = await lockRow(manager, slug);
      const release = number <= maxNumber ? await manager.findOneBy(Release, { lensId: lens.id, number }) : null;
      if (!release) throw new Problem(404, 'not-found', `There is no release ${number} of this lens.`);
      lens.draft = readConfig(release.config, lens.source.fields);
      lens.draftRevision++;
      await manager.save(lens);
      await this.changes.note(manager, { kind: 'lens', slug });
      return viewOf(lens, await newest(manager, lens.id));
    });
    void this.changes.tell({ kind: 'lens', slug });
    return view;
  }
}

/** Reads a config whole: every problem in it is reported at once. */
export function readConfig(config: object, fields: readonly Field[]): Lens {
  const read = readLens(config);
  const problems = read.ok ? checkLens(read.value, answered(fields)) : read.problems;
  if (!read.ok || problems.length > 0) {
    const errors = problems.map(({ pointer, message }) => ({ pointer: `/config${pointer}`, message }));
    throw new Problem(422, 'bad-config', 'The lens has settings that can’t work. See errors.', errors);
  }
  return read.value;
}

/**
 * A config as it was kept, with the defaults of settings there are since. One that can't be read any more is given as it is,
 * so that it can be looked at and mended.
 */
export function wholeConfig(config: Lens): Lens {
  const read = readLens(config);
  return read.ok ? read.value : config;
}

/** The highest number a release could have. */
const maxNumber = 0x7fffffff;

function noSource(slug: string): Problem {
  return new Problem(400, 'bad-body', 'The source is not there. See errors.', [
    { pointer: '/source', message: `there is no source called “${slug.slice(0, 80)}”` },
  ]);
}

function overtaken(revision: number): Problem {
  return new Problem(
    412,
    'draft-changed',
    `Someone saved draft ${revision} meanwhile. Load it, then make your change again.`,
  );
}

/** The lens that answers to a slug: the one that has it, or else the one that had it. */
export async function lensAt(manager: EntityManager, slug: string): Promise<LensRow | null> {
  if (!mayBeSlug(slug)) return null;
  const relations = { source: true };
  return (
    (await manager.findOne(LensRow, { where: { slug }, relations })) ??
    (await manager.findOne(LensRow, { where: { former: ArrayContains([slug]) }, relations }))
  );
}

async function findRow(manager: EntityManager, slug: string): Promise<LensRow> {
  const lens = await lensAt(manager, slug);
  if (!lens) throw notFound('lens', slug);
  return lens;
}

/** Whether a slug is another lens's, or was. */
async function isSpoken(manager: EntityManager, slug: string, id: string): Promise<boolean> {
  const found = await lensAt(manager, slug);
  return found !== null && found.id !== id;
}

function slugTaken(slug: string): Problem {
  return new Problem(409, 'slug-taken', `A lens called “${slug}” is there already, or was. Choose another name.`);
}

async function lockRow(manager: EntityManager, slug: string): Promise<LensRow> {
  if (mayBeSlug(slug)) {
    await manager.query('SELECT 1 FROM lens WHERE slug = $1 OR $1 = ANY(former) FOR UPDATE', [slug]);
  }
  return findRow(manager, slug);
}

export async function newest(manager: EntityManager, lensId: string): Promise<Release | null> {
  return manager.findOne(Release, { where: { lensId }, order: { number: 'DESC' } });
}

function summaryOf(lens: LensRow, release: Release | null): LensSummary {
  return {
    slug: lens.slug,
    name: lens.name,
    source: lens.source.slug,
    release: release?.number ?? null,
    changed: !release || !isDeepStrictEqual(wholeConfig(release.config), wholeConfig(lens.draft)),
    updatedAt: lens.updatedAt.toISOString(),
  };
}

function viewOf(lens: LensRow, release: Release | null): LensView {
  return { ...summaryOf(lens, release), draft: wholeConfig(lens.draft), draftRevision: lens.draftRevision };
}
