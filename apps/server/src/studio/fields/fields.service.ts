import {
  answered,
  checkLens,
  holdsTerms,
  kindOf,
  type FieldChange,
  type FieldDescription,
  type Lens,
  type Reference,
} from '@ivy/core';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import type { Source } from '../../database/source.entity.js';
import { notFound, Problem } from '../../problem/problem.js';
import { Changes as ChangeFeed } from '../../shared/changes.js';
import { Thread } from '../../shared/thread.js';
import { wholeConfig } from '../lenses/lens-config.js';
import { newest } from '../lenses/lens-rows.js';
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
  /** How many posts it has, where that changes and it has all of its source; else null. */
  posts: { before: number; after: number } | null;
  /** Why the lens can’t work with it; null where it can. */
  problem: string | null;
}

/** What a change of a field would come to, before it is kept. */
export interface FieldPreview extends FieldReading {
  lenses: LensEffect[];
}

/** By key: what is said of each field. */
type Changes = Record<string, FieldChange>;

/** Changes how fields are read. The raw values stay, so that a change back gives the values as they were. */
@Injectable()
export class FieldsService implements OnModuleDestroy {
  readonly #thread = new Thread<FieldTask, FieldResult>(['studio', 'fields', 'field-worker.js'], {
    megabytes: 1000,
    patience: 5 * 60_000,
    words: 'Reading this field again',
  });

  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly sources: SourcesService,
    private readonly changes: ChangeFeed,
  ) {}

  async onModuleDestroy(): Promise<void> {
    await this.#thread.close();
  }

  /** What a change would come to; nothing is kept. */
  async preview(slug: string, key: string, changes: Changes): Promise<FieldPreview> {
    const source = await this.#sourceWith(slug, key, changes);
    const reading = await this.#look(source, key, changes);
    return { ...reading, lenses: await this.#effects(source, reading) };
  }

  /** Changes fields for good: posts, terms and findings in one transaction. */
  async change(slug: string, key: string, changes: Changes): Promise<FieldPreview> {
    const source = await this.#sourceWith(slug, key, changes);
    const looked = await this.#look(source, key, changes);
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
    await this.#run(source, key, changes, true);
    void this.changes.tell({ kind: 'source', id: source.id });
    return { ...looked, lenses: effects };
  }

  async #sourceWith(slug: string, key: string, changes: Changes): Promise<Source> {
    const source = await this.sources.find(slug);
    const said: Changes = { [key]: {}, ...changes };
    for (const [one, change] of Object.entries(said)) {
      const field = source.fields.find((known) => known.key === one);
      if (!field) throw notFound('field', one);
      if (change.role !== undefined && (change.role === 'id') !== (field.role === 'id')) {
        throw new Problem(
          422,
          'id-stays',
          'Posts are known by their ids. To take another field for it, bring the file in anew.',
        );
      }
      if (field.role === 'id' && change.left)
        throw new Problem(422, 'id-stays', 'Posts are known by this field, so it can’t be left out.');
      this.#checkOthers(source, one, change);
      if (change.reference) await this.#checkReference(change.reference);
      if (change.type === 'reference' && !(change.reference ?? field.reference))
        throw new Problem(
          422,
          'no-reference',
          'Say which source the values stand for: its name, its key, and what is shown of it.',
        );
    }
    return source;
  }

  /** The fields of the same source that a change names must be there. */
  #checkOthers({ fields }: Source, key: string, { parent, end }: FieldChange): void {
    for (const other of [parent, end]) {
      if (other === undefined || other === null) continue;
      if (other === key) throw new Problem(422, 'no-field', 'A field can’t stand above itself, nor last until itself.');
      const found = fields.find((field) => field.key === other);
      if (!found) throw new Problem(422, 'no-field', `There is no field “${other.slice(0, 100)}” in this source.`);
      if (other === end && found.type !== 'date' && found.type !== 'datetime')
        throw new Problem(422, 'no-field', `“${other}” is no field of days, so nothing can last until it.`);
    }
  }

  async #checkReference({ source, key, label }: Reference): Promise<void> {
    const found = await this.sources.findIfThere(source);
    if (!found) throw new Problem(422, 'no-reference', `There is no source “${source.slice(0, 100)}”.`);
    for (const one of [key, label]) {
      if (!found.fields.some((field) => field.key === one))
        throw new Problem(422, 'no-reference', `There is no field “${one.slice(0, 100)}” in “${source}”.`);
    }
  }

  async #look(source: Source, key: string, changes: Changes): Promise<FieldReading> {
    return (await this.#run(source, key, changes, false))!;
  }

  async #run(source: Source, key: string, changes: Changes, keeps: boolean): Promise<FieldReading | null> {
    const { url } = this.database.options as { url: string };
    const today = new Date().toISOString().slice(0, 10);
    const task: FieldTask = { sourceId: source.id, key, changes, keeps, today, databaseUrl: url };
    return (await this.#thread.run(task)).reading;
  }

  async #effects(source: Source, { fields: pairs, posts, after: inHand }: FieldReading): Promise<LensEffect[]> {
    const { manager } = this.database;
    const rows = await manager.find(LensRow, { where: { sourceId: source.id }, order: { slug: 'ASC' } });
    const made = new Map(pairs.map(({ after }) => [after.key, after]));
    const fields = source.fields.map((field) => made.get(field.key) ?? field);
    const effects = await Promise.all(
      rows.map(async ({ id, slug, name, draft }) => {
        const release = await newest(manager, id);
        const states: ['release' | 'draft', Lens][] = [['draft', wholeConfig(draft)]];
        if (release) states.unshift(['release', wholeConfig(release.config)]);
        return states.flatMap(([of, config]) =>
          pairs.flatMap(({ before, after }) =>
            effectOn(config, before, after, fields, source.fields, posts)
              // of fields that were read anew because posts came or went, only what moves is worth a line
              .filter((one) => after.key === inHand.key || one.before !== one.after || one.problem !== null)
              .map((one) => ({ slug, name, of, ...one })),
          ),
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
  were: readonly FieldDescription[],
  posts: FieldReading['posts'],
): Pick<LensEffect, 'facets' | 'before' | 'after' | 'posts' | 'problem'>[] {
  const facets = config.facets.filter((facet) => kindOf(facet).fields(facet).includes(after.key));
  const isShown = JSON.stringify([config.card, config.sort, config.scope, config.follows]).includes(
    JSON.stringify(after.key),
  );
  if (facets.length === 0 && !isShown) return [];
  const wrong = (all: readonly FieldDescription[]) =>
    new Set(checkLens(config, answered(all)).map(({ pointer, message }) => `${pointer} ${message}`));
  const now = wrong(were);
  const [problem] = checkLens(config, answered(fields)).filter(
    ({ pointer, message }) => !now.has(`${pointer} ${message}`),
  );
  const named = facets.map((facet) => facet.label || after.label);
  const isWhole = posts.before !== posts.after && hasAll(config);
  return [
    {
      facets: named,
      before: holds(before),
      after: holds(after),
      posts: isWhole ? posts : null,
      problem: problem?.message ?? null,
    },
  ];
}

/** Whether a lens sees all posts of its source. */
function hasAll({ scope }: Lens): boolean {
  return (
    scope.where.length === 0 && scope.include.length === 0 && scope.exclude.length === 0 && scope.limit === undefined
  );
}

/** What a field holds, in a few words. */
function holds({ type, distinct, spread, left }: FieldDescription): string {
  if (left) return 'left out';
  if (holdsTerms({ type })) return distinct === 1 ? '1 term' : `${distinct} terms`;
  if (spread) return `${spread.low} to ${spread.high}`;
  return distinct === 1 ? '1 value' : `${distinct} values`;
}
