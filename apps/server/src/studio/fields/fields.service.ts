import { answered, checkLens, kindOf, type FieldChange, type FieldDescription, type Lens } from '@ivy/core';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { Piscina } from 'piscina';
import type { DataSource } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import type { Source } from '../../database/source.entity.js';
import { notFound, Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { fromRoot } from '../../shared/paths.js';
import { newest, wholeConfig } from '../lenses/lenses.service.js';
import { SourcesService } from '../sources/sources.service.js';
import type { FieldReading, FieldResult, FieldTask } from './field-worker.js';

/** What a change of a field does to a lens. */
export interface LensEffect {
  slug: string;
  name: string;
  /** Whether it is the release that visitors have, or the draft. */
  of: 'release' | 'draft';
  /** Labels of the facets that read the field. */
  facets: string[];
  before: string;
  after: string;
  /** Why the lens can’t work with it; null where it can. */
  problem: string | null;
}

/** What a change of a field would come to, before it is kept. */
export interface FieldPreview extends FieldReading {
  lenses: LensEffect[];
}

/** Milliseconds a change may take. */
const patience = 5 * 60_000;

/** Changes how fields are read. The raw values stay, so that a change back gives the values as they were. */
@Injectable()
export class FieldsService implements OnModuleDestroy {
  readonly #pool = new Piscina({
    filename: fromRoot('apps', 'server', 'dist', 'studio', 'fields', 'field-worker.js'),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: 1000 },
    execArgv: [],
  });

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly sources: SourcesService,
    private readonly changes: Changes,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await this.#pool.destroy();
  }

  /** What a change would come to; nothing is kept. */
  async preview(slug: string, key: string, change: FieldChange): Promise<FieldPreview> {
    const source = await this.#sourceWith(slug, key, change);
    const reading = await this.#look(source, key, change);
    return { ...reading, lenses: await this.#effects(source, reading) };
  }

  /** Changes a field for good: posts, terms and findings in one transaction. */
  async change(slug: string, key: string, change: FieldChange): Promise<FieldPreview> {
    const source = await this.#sourceWith(slug, key, change);
    const looked = await this.#look(source, key, change);
    const effects = await this.#effects(source, looked);
    // a draft is asked for as well: what it can't work with is changed there first
    const broken = effects.find(({ problem }) => problem !== null);
    if (broken) {
      const facets = broken.facets.join(', ') || 'what it shows';
      const then = broken.of === 'release' ? 'Change that lens and publish it first.' : 'Change its draft first.';
      throw new Problem(
        409,
        'lens-breaks',
        `“${broken.name}” can’t work with that: ${facets} ${broken.problem}. ${then}`,
      );
    }
    await this.#run(source, key, change, true);
    this.changes.tell({ kind: 'source', id: source.id });
    return { ...looked, lenses: effects };
  }

  async #sourceWith(slug: string, key: string, change: FieldChange): Promise<Source> {
    const source = await this.sources.find(slug);
    const field = source.fields.find((one) => one.key === key);
    if (!field) throw notFound('field', key);
    if (change.role !== undefined && (change.role === 'id') !== (field.role === 'id')) {
      throw new Problem(
        422,
        'id-stays',
        'Posts are known by their ids. To take another field for it, bring the file in anew.',
      );
    }
    if (field.role === 'id' && change.left)
      throw new Problem(422, 'id-stays', 'Posts are known by this field, so it can’t be left out.');
    return source;
  }

  async #look(source: Source, key: string, change: FieldChange): Promise<FieldReading> {
    return (await this.#run(source, key, change, false))!;
  }

  async #run(source: Source, key: string, change: FieldChange, keeps: boolean): Promise<FieldReading | null> {
    const { url } = this.database.options as { url: string };
    const task: FieldTask = { sourceId: source.id, key, change, keeps, databaseUrl: url };
    const result = await this.#inThread(task);
    if (result.refused) throw new Problem(result.refused.status, result.refused.code, result.refused.detail);
    return result.reading;
  }

  async #inThread(task: FieldTask): Promise<FieldResult> {
    const late = AbortSignal.timeout(patience);
    try {
      return (await this.#pool.run(task, { signal: late })) as FieldResult;
    } catch (error) {
      if (late.aborted || (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') {
        const detail = 'Reading this field again takes too long or too much memory. Nothing was changed.';
        throw new Problem(422, 'too-slow', detail);
      }
      throw error;
    }
  }

  async #effects(source: Source, { before, after }: FieldReading): Promise<LensEffect[]> {
    const { manager } = this.database;
    const rows = await manager.find(LensRow, { where: { sourceId: source.id }, order: { slug: 'ASC' } });
    const fields = source.fields.map((field) => (field.key === after.key ? after : field));
    const effects = await Promise.all(
      rows.map(async ({ id, slug, name, draft }) => {
        const release = await newest(manager, id);
        const states: ['release' | 'draft', Lens][] = [['draft', wholeConfig(draft)]];
        if (release) states.unshift(['release', wholeConfig(release.config)]);
        return states.flatMap(([of, config]) =>
          effectOn(config, before, after, fields).map((one) => ({ slug, name, of, ...one })),
        );
      }),
    );
    return effects.flat();
  }
}

/** What a lens makes of a field, before and after; none where it makes nothing of it. */
function effectOn(
  config: Lens,
  before: FieldDescription,
  after: FieldDescription,
  fields: readonly FieldDescription[],
): Pick<LensEffect, 'facets' | 'before' | 'after' | 'problem'>[] {
  const facets = config.facets.filter((facet) => kindOf(facet).fields(facet).includes(after.key));
  const isShown = JSON.stringify([config.card, config.sort, config.scope, config.follows]).includes(
    JSON.stringify(after.key),
  );
  if (facets.length === 0 && !isShown) return [];
  const wrong = (all: readonly FieldDescription[]) =>
    new Set(checkLens(config, answered(all)).map(({ pointer, message }) => `${pointer} ${message}`));
  const now = wrong(fields.map((field) => (field.key === before.key ? before : field)));
  const [problem] = checkLens(config, answered(fields)).filter(
    ({ pointer, message }) => !now.has(`${pointer} ${message}`),
  );
  const named = facets.map((facet) => facet.label || after.label);
  return [{ facets: named, before: holds(before), after: holds(after), problem: problem?.message ?? null }];
}

/** What a field holds, in a few words. */
function holds({ type, distinct, spread, left }: FieldDescription): string {
  if (left) return 'left out';
  if (type === 'terms') return distinct === 1 ? '1 term' : `${distinct} terms`;
  if (spread) return `${spread.low} to ${spread.high}`;
  return distinct === 1 ? '1 value' : `${distinct} values`;
}
