import {
  answered,
  cellText,
  holdsTerms,
  isSlashedDay,
  PostReader,
  prepareFields,
  type FieldContext,
  type FieldDescription,
  type RawRecord,
} from '@ivy/core';
import type { Client } from 'pg';
import { postsAsked } from '../../database/posts-asked.js';
import { otherTerms, readTerms } from '../../database/term-rows.js';
import { readReferences } from '../fields/source-records.js';
import { missingPost, recordsById } from './asked.js';
import { Comparison, fieldsWith, type Brought, type KeptPost } from './bring.js';
import { madeNew, type Kept } from './keep-run.js';
import type { SourceState } from './kept.js';
import { diffOf } from './run-preview.js';
import type { Bringing, RunTask } from './run-task.js';

/** From how many posts on the few that come are read alone: of fewer, all are read in no time. */
const manyPosts = 2000;
/** How many times as many must be there as come. */
const timesAsMany = 10;

/** What a run of few posts comes to. */
interface Few {
  kept: Map<string, KeptPost>;
  brought: Pick<Brought, 'changes' | 'written' | 'terms' | 'fields' | 'findings' | 'answered'>;
  rest: Kept;
}

/**
 * Brings a few posts in among many without reading the others. What fields hold, and what is wrong with them, is told later.
 * @returns null where all are to be read: others could be read otherwise with these, or these are not few
 */
export async function bringFew(client: Client, task: RunTask, source: SourceState): Promise<Few | null> {
  const { sourceId, what } = task;
  if (!task.keeps || (what.how !== 'posts' && what.how !== 'removal')) return null;
  if (source.fields.some(isReadWithOthers)) return null;
  const counts = await countPosts(client, sourceId, source);
  const size = what.how === 'posts' ? what.records.length : what.ids.length;
  if (counts.all < manyPosts || counts.all < size * timesAsMany) return null;
  // where a post goes, one that was left out because of it could be answered
  if (what.how === 'removal' && counts.isAnyLeft) return null;
  const records = asked(what, source.fields);
  if (!records) return null;
  const kept = await readSome(client, sourceId, [...records.keys()]);
  const missing = [...records].find(([id, record]) => record === null && !kept.has(id));
  if (missing) throw missingPost(missing[0]);
  if ([...kept.values()].some(({ leftBy }) => leftBy.length > 0)) return null;
  // what is not given stays as it came
  for (const [id, record] of records) if (record) records.set(id, { ...kept.get(id)?.raw, ...record });
  const contexts = await contextsOf(client, sourceId, source.fields, records, kept);
  if (!contexts) return null;

  const known = await readTerms(client, sourceId);
  const reader = new PostReader(source.fields, contexts, known);
  const compared = new Comparison(kept, source.fields);
  let next = counts.last + 1;
  let answers = source.posts - kept.size;
  for (const [id, record] of records) {
    const before = kept.get(id);
    const read = record && reader.read(record, id);
    if (!read) continue;
    const { post, raw, left } = read;
    if (left.length > 0) return null;
    answers++;
    compared.add({ id, position: before?.position ?? next++, raw, values: post.values, leftBy: left });
  }
  const { changes, written, unchanged: same } = compared.finish();
  const terms = otherTerms(known, reader.records.taxonomies);
  const { fields, findings, fileName, rejected } = source;
  const brought = { changes, written, terms, fields, findings, answered: answers };
  const unchanged = counts.all - kept.size + same;
  const diff = diffOf({ changes, unchanged, answered: answers, rejected: reader.rejected });
  const made = madeNew(source, known, brought);
  return { kept, brought, rest: { diff, made, file: { fileName, rejected }, touched: [...records.keys()] } };
}

/** Whether a value of a field can change what values of other posts are, or which are answered. */
function isReadWithOthers({ parent, mends = [] }: FieldDescription): boolean {
  return parent !== undefined || mends.some(({ rule }) => rule.does === 'leave' || rule.does === 'number');
}

/** Told by indexes alone, however many posts there are. */
async function countPosts(client: Client, sourceId: string, { posts: answers }: SourceState) {
  const { rows } = await client.query<{ left: number; last: number }>(
    `SELECT (SELECT count(*)::int FROM post WHERE source_id = $1 AND left_by <> '{}') AS "left",
       coalesce((SELECT max(position) FROM post WHERE source_id = $1), -1) AS last`,
    [sourceId],
  );
  const { left, last } = rows[0]!;
  return { all: answers + left, last, isAnyLeft: left > 0 };
}

/** What is asked, by id: the record that comes, or null for a post that goes. Null itself where fields would be others. */
function asked(
  what: Extract<Bringing, { how: 'posts' | 'removal' }>,
  fields: readonly FieldDescription[],
): Map<string, RawRecord | null> | null {
  if (what.how === 'removal') return new Map(what.ids.map((id) => [id, null]));
  if (fieldsWith(fields, what.records).length > fields.length) return null;
  const isListNow = ({ key, multiple, ...field }: FieldDescription) =>
    holdsTerms(field) && !multiple && what.records.some((record) => Array.isArray(record[key]));
  return fields.some(isListNow) ? null : new Map(recordsById(what.records, fields));
}

async function readSome(client: Client, sourceId: string, ids: readonly string[]): Promise<Map<string, KeptPost>> {
  const { rows } = await client.query<KeptPost>(
    `SELECT id, position, raw, "values", left_by AS "leftBy" FROM ${postsAsked}`,
    [sourceId, ids],
  );
  return new Map(rows.map((post) => [post.id, post]));
}

/**
 * What of fields all records together tell, which is as it was wherever these few prove nothing else.
 * @returns null where the others would be read in another order with these
 */
async function contextsOf(
  client: Client,
  sourceId: string,
  fields: readonly FieldDescription[],
  records: ReadonlyMap<string, RawRecord | null>,
  kept: ReadonlyMap<string, KeptPost>,
): Promise<Map<string, FieldContext> | null> {
  const came = [...records.values()].filter((record) => record !== null);
  const went = [...kept.values()];
  const before = prepareFields(
    went.map(({ raw }) => raw),
    fields,
  );
  const contexts = prepareFields(came, fields, await readReferences(client, fields));
  for (const { key, type, dateOrder, mends = [] } of answered(fields)) {
    const isSaid = dateOrder !== undefined || mends.some(({ rule }) => rule.does === 'order');
    if (type !== 'date' || isSaid) continue;
    const context = contexts.get(key)!;
    const more: Proof = {
      dayFirst: context.proof.dayFirst - before.get(key)!.proof.dayFirst,
      monthFirst: context.proof.monthFirst - before.get(key)!.proof.monthFirst,
    };
    const isOpen = came.some((record) => isSlashedDay(cellText(record[key])));
    if (!isOpen && more.dayFirst === 0 && more.monthFirst === 0) continue;
    const dayFirst = orderIn(went, key) ?? (await orderOfAnother(client, sourceId, key));
    if (dayFirst === null || !holds(dayFirst, more)) {
      const all = await proofOf(client, sourceId, key);
      const then = { dayFirst: all.dayFirst + more.dayFirst, monthFirst: all.monthFirst + more.monthFirst };
      if (isDayFirst(then) !== isDayFirst(all)) return null;
      contexts.set(key, { ...context, dayFirst: isDayFirst(all) });
    } else contexts.set(key, { ...context, dayFirst });
  }
  return contexts;
}

type Proof = FieldContext['proof'];

/** Whether days that are read in an order are still, with so many more that prove one. */
function holds(dayFirst: boolean, more: Proof): boolean {
  return dayFirst ? more.dayFirst >= 0 && more.monthFirst <= 0 : more.monthFirst >= 0 && more.dayFirst <= 0;
}

/** Whether days that could be read in either order were read with the day first; null where there is none. */
function orderIn(posts: readonly Pick<KeptPost, 'raw' | 'values'>[], key: string): boolean | null {
  for (const { raw, values } of posts) {
    const [text, value] = [cellText(raw[key]).trim(), values[key]];
    if (isSlashedDay(text) && typeof value === 'string')
      return Number(text.split(/[/-]/)[0]) === Number(value.slice(8, 10));
  }
  return null;
}

/** The same of any post there is. */
async function orderOfAnother(client: Client, sourceId: string, key: string): Promise<boolean | null> {
  const { rows } = await client.query<Pick<KeptPost, 'raw' | 'values'>>(
    `SELECT raw, "values" FROM post
     WHERE source_id = $1 AND raw ->> $2 ~ '^\\s*(0?\\d|1[0-2])[/-](0?\\d|1[0-2])[/-]\\d{4}\\s*$' AND "values" ? $2 LIMIT 20`,
    [sourceId, key],
  );
  return orderIn(rows, key);
}

/** How many days of a field have the day first for sure, and how many the month. A look at every post. */
async function proofOf(client: Client, sourceId: string, key: string): Promise<Proof> {
  const { rows } = await client.query<Proof>(
    `SELECT count(*) FILTER (WHERE a > 12)::int AS "dayFirst", count(*) FILTER (WHERE a <= 12 AND b > 12)::int AS "monthFirst"
     FROM (SELECT substring(raw ->> $2 FROM '^\\s*(\\d{1,2})[/-]\\d{1,2}[/-]\\d{4}\\s*$')::int AS a,
                  substring(raw ->> $2 FROM '^\\s*\\d{1,2}[/-](\\d{1,2})[/-]\\d{4}\\s*$')::int AS b
           FROM post WHERE source_id = $1) AS days`,
    [sourceId, key],
  );
  return rows[0]!;
}

function isDayFirst({ dayFirst, monthFirst }: Proof): boolean {
  return monthFirst <= dayFirst;
}
