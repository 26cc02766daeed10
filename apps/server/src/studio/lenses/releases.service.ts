import { changesBetween, keepNames, type Lens } from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { isDeepStrictEqual } from 'node:util';
import type { DataSource, EntityManager } from 'typeorm';
import type { LensRow } from '../../database/lens.entity.js';
import { Release } from '../../database/release.entity.js';
import { Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { AddressChecks } from '../addresses/address-checks.js';
import { readConfig, wholeConfig } from './lens-config.js';
import { findRow, lockRow, newest, overtaken, releasesOf } from './lens-rows.js';
import { viewOf, type LensRestored, type LensView, type ReleaseChange, type ReleaseView } from './lens.view.js';

/** How a release is to come about. */
export interface Publishing {
  note: string;
  /** Whether also where saved addresses do not hold. */
  anyway: boolean;
}

/** The highest number a release could have. */
const maxNumber = 0x7fffffff;

/** What visitors get of lenses, and what they got before. Every name that was ever live goes on being read. */
@Injectable()
export class ReleasesService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly checks: AddressChecks,
    private readonly changes: Changes,
  ) {}

  async list(slug: string): Promise<ReleaseView[]> {
    const lens = await findRow(this.database.manager, slug);
    const releases = await releasesOf(this.database.manager, lens.id);
    return releases.reverse().map(({ number, note, createdAt, config }) => ({
      number,
      note,
      config: wholeConfig(config),
      createdAt: createdAt.toISOString(),
    }));
  }

  /**
   * Makes the draft the next release. A draft that is the newest release already stays that one, however often it is
   * published.
   * @param revision  the draft that is meant; the newest where nothing is said
   */
  async publish(slug: string, how: Publishing, revision: number | undefined): Promise<number> {
    for (;;) {
      const meant = await findRow(this.database.manager, slug);
      if (revision !== undefined && revision !== meant.draftRevision) throw overtaken(meant.draftRevision);
      await this.#refuseFailing(meant, meant.draft, how);
      const number = await this.#changed(slug, async (manager, lens) => {
        // a draft saved while its addresses were checked is checked itself
        if (lens.draftRevision !== meant.draftRevision) return null;
        const { config, number } = await this.#release(manager, lens, lens.draft, how.note);
        // names that are read again by it are in the draft too, so that it is what visitors have
        if (!isDeepStrictEqual(wholeConfig(lens.draft), config)) {
          lens.draft = config;
          lens.draftRevision++;
          await manager.save(lens);
        }
        return number;
      });
      if (number !== null) return number;
    }
  }

  /** Puts an earlier release live again, as the next number. The draft stays as it is. */
  async publishAgain(slug: string, number: number, how: Publishing): Promise<number> {
    const meant = await findRow(this.database.manager, slug);
    const { config } = await releaseOf(this.database.manager, meant, number);
    await this.#refuseFailing(meant, config, how);
    return this.#changed(slug, async (manager, lens) => {
      const note = how.note || `as release ${number}`;
      return (await this.#release(manager, lens, config, note)).number;
    });
  }

  /** Makes an earlier release the draft. Visitors keep what they have; the draft before stays one undo away. */
  async restore(slug: string, number: number): Promise<LensRestored> {
    const view = await this.#changed(slug, async (manager, lens) => {
      const release = await releaseOf(manager, lens, number);
      return this.#replaceDraft(manager, lens, release.config, number);
    });
    return { ...view, undo: `/api/v1/lenses/${encodeURIComponent(view.slug)}/draft/undo` };
  }

  /** Takes back that a release was made the draft. Taken back again, it is the draft once more. */
  async undo(slug: string): Promise<LensView> {
    return this.#changed(slug, async (manager, lens) => {
      if (!lens.before)
        throw new Problem(409, 'nothing-to-undo', 'No release was made the draft, so there is nothing to take back.');
      return this.#replaceDraft(manager, lens, lens.before.draft, null);
    });
  }

  /**
   * What visitors would notice between two states, and which addresses break.
   * @param to  number of a release, or null for the draft
   */
  async changesTo(slug: string, from: number, to: number | null): Promise<ReleaseChange[]> {
    const { manager } = this.database;
    const lens = await findRow(manager, slug);
    const before = await releaseOf(manager, lens, from);
    const after = to === null ? lens.draft : (await releaseOf(manager, lens, to)).config;
    const changes = changesBetween(wholeConfig(before.config), wholeConfig(after), lens.source.fields);
    return changes.map(({ facet, title, before: was, after: is, breaks }) => ({
      ...(facet !== null && { facet }),
      headline: title,
      text: was === undefined || is === undefined ? '' : `${was} → ${is}`,
      breaks: breaks ?? false,
    }));
  }

  async #refuseFailing(lens: LensRow, config: Lens, { anyway }: Publishing): Promise<void> {
    if (anyway) return;
    const before = await newest(this.database.manager, lens.id);
    const next = await this.#kept(this.database.manager, lens, config);
    if (before && isDeepStrictEqual(wholeConfig(before.config), next)) return;
    await this.checks.refuseFailing(lens, next);
  }

  /** A config as it may go live: whole, and with every name that was. The source may have changed since it was kept. */
  async #kept(manager: EntityManager, lens: LensRow, config: Lens): Promise<Lens> {
    const live = (await releasesOf(manager, lens.id)).map((release) => wholeConfig(release.config));
    return keepNames(readConfig(config, lens.source.fields), live);
  }

  async #release(
    manager: EntityManager,
    lens: LensRow,
    from: Lens,
    note: string,
  ): Promise<{ number: number; config: Lens }> {
    const config = await this.#kept(manager, lens, from);
    const before = await newest(manager, lens.id);
    if (before && isDeepStrictEqual(wholeConfig(before.config), config)) return { number: before.number, config };
    const number = (before?.number ?? 0) + 1;
    await manager.save(manager.create(Release, { lensId: lens.id, number, config, note }));
    return { number, config };
  }

  async #replaceDraft(manager: EntityManager, lens: LensRow, config: Lens, release: number | null): Promise<LensView> {
    const before = lens.draft;
    lens.draft = await this.#kept(manager, lens, config);
    lens.before = { draft: before, release };
    lens.draftRevision++;
    await manager.save(lens);
    return viewOf(lens, await newest(manager, lens.id));
  }

  /** Does something to a lens in a transaction, of which everyone hears. */
  async #changed<T>(slug: string, work: (manager: EntityManager, lens: LensRow) => Promise<T>): Promise<T> {
    const { result, now } = await this.database.transaction(async (manager) => {
      const lens = await lockRow(manager, slug);
      const result = await work(manager, lens);
      await this.changes.note(manager, { kind: 'lens', slug: lens.slug });
      return { result, now: lens.slug };
    });
    void this.changes.tell({ kind: 'lens', slug: now });
    return result;
  }
}

async function releaseOf(manager: EntityManager, lens: LensRow, number: number): Promise<Release> {
  const isNumber = number > 0 && number <= maxNumber;
  const release = isNumber ? await manager.findOneBy(Release, { lensId: lens.id, number }) : null;
  if (!release) throw new Problem(404, 'not-found', `There is no release ${number} of this lens.`);
  return release;
}
