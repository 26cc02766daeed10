import {
  changesTowards,
  changeTaxonomy,
  describeTerms,
  holdsTerms,
  livingTerms,
  sayTermChange,
  summariseTerms,
  type FieldDescription,
  type Finding,
  type PostIndex,
  type TaxonomyTerm,
  type Term,
  type TermChange,
  type TermSummary,
} from '@ivy/core';
import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DataSource, EntityManager } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import { Source } from '../../database/source.entity.js';
import { TermChangeRow } from '../../database/term-change.entity.js';
import { termOf } from '../../database/term-rows.js';
import { TermRow } from '../../database/term.entity.js';
import { IndexCache } from '../../delivery/index-cache.js';
import { notFound, Problem } from '../../problem/problem.js';
import { Changes } from '../../shared/changes.js';
import { SourcesService } from '../sources/sources.service.js';
import { countKept } from './count-kept.js';
import { lensesWith } from './lenses-with.js';
import { statesAround, statesBack, writeStates } from './term-states.js';
import { termViews, type TermChangeView, type TermEffect, type TermView } from './term.view.js';

/** Changes of a field's terms that are kept: what is older can't be undone. */
const changesKept = 500;

/** A field with its terms as they stand: all there are, and the rows they are kept in. */
interface Standing {
  source: Source;
  field: FieldDescription;
  rows: TermRow[];
  terms: Term[];
}

/** Shapes the terms of a field. Each change is one transaction, and every process hears of it. */
@Injectable()
export class TermsService {
  constructor(
    @InjectDataSource() private readonly database: DataSource,
    private readonly sources: SourcesService,
    private readonly indexes: IndexCache,
    private readonly changes: Changes,
  ) {}

  async list(slug: string, field: string): Promise<TermView[]> {
    const source = await this.sources.find(slug);
    if (!source.fields.some((one) => one.key === field)) throw notFound('field', field);
    const { index } = await this.indexes.of(source.id);
    return termViews(index, field);
  }

  /** What was done to the terms of a field, the newest first. */
  async history(slug: string, field: string): Promise<TermChangeView[]> {
    const source = await this.sources.find(slug);
    const rows = await this.database.getRepository(TermChangeRow).find({
      where: { sourceId: source.id, field },
      order: { id: 'DESC' },
      take: changesKept,
    });
    return rows.map(({ id, at, text, undone }) => ({ id, at: at.toISOString(), text, undone }));
  }

  /** What a change would come to; nothing is kept. */
  async look(slug: string, field: string, change: TermChange): Promise<TermEffect> {
    const { id, index } = await this.#at(slug);
    const standing = await this.#standing(this.database.manager, id, field, false);
    return this.#effect(this.database.manager, standing, index, change, changed(standing.terms, change));
  }

  /** Makes a change. */
  async change(slug: string, field: string, change: TermChange): Promise<TermEffect> {
    const { id, index } = await this.#at(slug);
    const effect = await this.database.transaction(async (manager) => {
      const standing = await this.#standing(manager, id, field, true);
      const { terms, rows } = standing;
      const next = changed(terms, change);
      const effect = await this.#effect(manager, standing, index, change, next);
      const states = statesAround(rows, next);
      await writeStates(manager, id, field, states.after);
      const { revision, findings } = await this.#keep(manager, standing, next, summariseTerms(index, field, next));
      // what was undone before is not done again on top of something else
      await manager.delete(TermChangeRow, { sourceId: id, field, undone: true });
      const text = sayTermChange(terms, change);
      const row = { sourceId: id, field, change, text, ...states, findings, revision };
      await manager.save(manager.create(TermChangeRow, row));
      await manager.query(
        `DELETE FROM term_change WHERE source_id = $1 AND field = $2 AND id NOT IN (
           SELECT id FROM term_change WHERE source_id = $1 AND field = $2 ORDER BY id DESC LIMIT $3)`,
        [id, field, changesKept],
      );
      return effect;
    });
    await this.changes.tell({ kind: 'source', id, few: true });
    return effect;
  }

  /** What has the terms of a field be as a taxonomy from elsewhere has them, as one change; null where they are already. */
  async towards(
    slug: string,
    field: string,
    wanted: readonly TaxonomyTerm[],
    from: string,
  ): Promise<TermChange | null> {
    const { id } = await this.#at(slug);
    const { terms } = await this.#standing(this.database.manager, id, field, false);
    const { changes, problem } = changesTowards(terms, wanted);
    if (problem) throw new Problem(409, problem.code, problem.text);
    if (changes.length === 0) return null;
    const count = (does: string) => changes.filter((one) => one.does === does).length;
    const parts = [`${count('add')} new`, `${count('rename')} renamed`, `${count('move')} moved`];
    return {
      does: 'several',
      changes,
      text: `As in ${from}: ${parts.filter((part) => !part.startsWith('0 ')).join(', ') || 'shown otherwise'}`,
    };
  }

  /** Takes the newest change back, or makes the one again that was taken back last. */
  async step(slug: string, field: string, back: boolean): Promise<TermChangeView> {
    const { id, index } = await this.#at(slug);
    const view = await this.database.transaction(async (manager) => {
      const standing = await this.#standing(manager, id, field, true);
      const row = await manager.findOne(TermChangeRow, {
        where: { sourceId: id, field, undone: !back },
        order: { id: back ? 'DESC' : 'ASC' },
      });
      if (!row) {
        const detail = back ? 'Nothing was done to these terms.' : 'Nothing was undone.';
        throw new Problem(409, 'nothing-to-undo', detail);
      }
      if (back) checkUnused(index, field, row);
      await writeStates(manager, id, field, back ? statesBack(row) : row.after);
      const after = await manager.find(TermRow, { where: { sourceId: id, field }, order: { position: 'ASC' } });
      const next = after.map((one) => termOf(one));
      // posts of an index that was made with it lost what they get back: the posts themselves are asked
      const isLossy = back && (row.change.does === 'merge' || row.change.does === 'remove');
      const summary = isLossy ? await countKept(manager, id, field, next) : summariseTerms(index, field, next);
      const { revision, findings } = await this.#keep(manager, standing, next, summary, {
        until: isLossy ? row.revision - 1 : null,
        found: back ? row.findings : [],
      });
      row.undone = back;
      if (!back) Object.assign(row, { revision, findings });
      await manager.save(row);
      return { id: row.id, at: row.at.toISOString(), text: row.text, undone: back };
    });
    await this.changes.tell({ kind: 'source', id, few: true });
    return view;
  }

  /** The source and its index, before a transaction begins: one that holds a connection must not wait for another. */
  async #at(slug: string): Promise<{ id: string; index: PostIndex }> {
    const { id } = await this.sources.find(slug);
    const { index } = await this.indexes.of(id);
    return { id, index };
  }

  async #standing(manager: EntityManager, id: string, key: string, locks: boolean): Promise<Standing> {
    const lock = locks ? ({ lock: { mode: 'pessimistic_write' } } as const) : {};
    const source = await manager.findOneOrFail(Source, { where: { id }, ...lock });
    const field = source.fields.find((one) => one.key === key);
    if (!field) throw notFound('field', key);
    if (!holdsTerms(field) || field.left) {
      throw new Problem(422, 'no-terms', `“${field.label}” holds no terms that can be shaped.`);
    }
    const rows = await manager.find(TermRow, { where: { sourceId: id, field: key }, order: { position: 'ASC' } });
    return { source, field, rows, terms: rows.map((row) => termOf(row)) };
  }

  /**
   * Keeps what a source is by its terms then.
   * @param back  of a change that is undone: up to which revision an index has all it needs, and what was found before it
   * @returns its revision, and the findings that tell of nothing any more
   */
  async #keep(
    manager: EntityManager,
    { source, field, terms }: Standing,
    next: Term[],
    summary: Pick<TermSummary, 'own' | 'filled'>,
    { until, found }: { until: number | null; found: readonly Finding[] } = { until: null, found: [] },
  ): Promise<{ revision: number; findings: Finding[] }> {
    const isChain = source.shapedTo === source.revision;
    const revision = source.revision + 1;
    const labels = new Set(livingTerms(next).map(({ label }) => label));
    const gone = new Set(livingTerms(terms).flatMap(({ label }) => (labels.has(label) ? [] : [label])));
    const untils = [isChain ? source.shapedUntil : null, until].filter((one) => one !== null);
    const findings = source.findings.filter((finding) => isAbout(finding, field.key, gone));
    const stay = source.findings.filter((finding) => !findings.includes(finding));
    const known = new Set(stay.map(({ id }) => id));
    const again = found.filter(({ id }) => !known.has(id));
    const described = describeTerms(field, next, summary);
    await manager.update(
      Source,
      { id: source.id },
      {
        revision,
        shapedFrom: isChain ? source.shapedFrom : source.revision,
        shapedUntil: untils.length > 0 ? Math.min(...untils) : null,
        shapedTo: revision,
        fields: source.fields.map((one) => (one.key === field.key ? described : one)),
        findings: [...stay, ...again],
      },
    );
    await this.changes.note(manager, { kind: 'source', id: source.id, few: true });
    return { revision, findings };
  }

  async #effect(
    manager: EntityManager,
    { source, field, terms }: Standing,
    index: PostIndex,
    change: TermChange,
    next: Term[],
  ): Promise<TermEffect> {
    const before = summariseTerms(index, field.key, terms);
    const after = summariseTerms(index, field.key, next);
    const countOf = (counts: Uint32Array, list: readonly Term[], slug: string) => counts[placeOf(list, slug)] ?? 0;
    const stays = change.does === 'add' ? next.at(-1)!.slug : subjectOf(change);
    const goes = change.does === 'merge' ? change.from : change.does === 'remove' ? [change.term] : [];
    const lenses = await manager.findBy(LensRow, { sourceId: source.id });
    return {
      text: sayTermChange(terms, change),
      term: livingTerms(next)[placeOf(next, stays)]?.slug ?? null,
      posts: goes.reduce((sum, slug) => sum + countOf(before.own, terms, slug), 0),
      before: change.does === 'add' ? 0 : countOf(before.all, terms, stays),
      after: countOf(after.all, next, stays),
      filled: { before: before.filled, after: after.filled },
      lenses: await lensesWith(manager, lenses, field.key),
    };
  }
}

/** The place of a term among those that are there, by its slug or by one that leads to it. */
function placeOf(terms: readonly Term[], slug: string): number {
  return livingTerms(terms).findIndex((term) => term.slug === slug || term.aliases?.includes(slug));
}

/** That a term that was added by hand has no posts by now, which would lose it. */
function checkUnused(index: PostIndex, field: string, { change, before, after }: TermChangeRow): void {
  const adds = (one: TermChange): boolean => one.does === 'add' || (one.does === 'several' && one.changes.some(adds));
  if (!adds(change)) return;
  const { numbers, sizes } = index.column(field);
  const isUsed = (slug: string) => (sizes[numbers.get(slug) ?? -1] ?? 0) > 0;
  const wasThere = new Set(before.flatMap(({ slug, term }) => (term === null ? [] : [slug])));
  const added = after.filter(({ slug }) => !wasThere.has(slug));
  const used = added.find(({ slug }) => isUsed(slug));
  if (!used) return;
  throw new Problem(409, 'term-in-use', `“${used.slug}” has posts by now. Delete it, if they are to lose it.`);
}

/** The term that a change is about, and that is there after it. */
function subjectOf(change: Exclude<TermChange, { does: 'add' }>): string {
  if (change.does === 'several') return subjectOf(change.changes[0] as Exclude<TermChange, { does: 'add' }>);
  return change.does === 'merge' ? change.into : change.term;
}

function changed(terms: readonly Term[], change: TermChange): Term[] {
  const { terms: next, problem } = changeTaxonomy(terms, change);
  if (problem) throw new Problem(problem.code === 'no-such-term' ? 404 : 409, problem.code, problem.text);
  return next;
}

/** Whether a finding tells of a term that is not called so any more. */
function isAbout({ field, values }: Finding, key: string, gone: ReadonlySet<string>): boolean {
  return field === key && values.some((value) => gone.has(value));
}
