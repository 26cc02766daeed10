import {
  answer,
  answered,
  checkAddress,
  fieldWithRole,
  finished,
  IndexBuilder,
  kindOf,
  prepareAnswer,
  readLens,
  readQuestion,
  writtenRaw,
  type Expectation,
  type FieldDescription,
  type Finding,
  type Lens,
  type PostIndex,
  type Rejection,
  type Term,
} from '@ivy/core';
import type { Client } from 'pg';
import type { Brought, KeptPost, PostChange } from './bring.js';
import { readTerms } from '../../database/term-rows.js';
import type { SourceState } from './kept.js';

/** What a run changes, or would change. */
export interface RunDiff {
  added: number;
  changed: number;
  unchanged: number;
  removed: number;
  /** Posts that are answered then. */
  total: number;
  rejected: Rejection[];
}

export function diffOf({
  changes,
  unchanged,
  answered: total,
  rejected,
}: Pick<Brought, 'changes' | 'unchanged' | 'answered' | 'rejected'>): RunDiff {
  const count = (kind: PostChange['change']) => changes.filter(({ change }) => change === kind).length;
  return { added: count('added'), changed: count('changed'), unchanged, removed: count('removed'), total, rejected };
}

/** A post that would be another, with what it has and would have. */
export interface PostDiff extends PostChange {
  title: string;
  /** Of the fields that are others: what came before, and what comes now. */
  values: { key: string; before: string; after: string }[];
}

/** What a run would do, looked at before it is kept. */
export interface RunPreview extends RunDiff {
  /** Up to some hundred of each kind. */
  posts: PostDiff[];
  /** Lenses, with how many posts they have. */
  lenses: { slug: string; name: string; matched: { before: number; after: number } }[];
  /** Saved addresses that would find another number of posts, or not what they must. */
  addresses: AddressMove[];
  /** What would be found wrong that was not before. */
  findings: Finding[];
  /** Fields that are new, and those of which nothing comes any more. */
  fields: { added: string[]; gone: string[] };
  /** Mends in force: how many values each makes another, before and after. */
  mends: { id: string; field: string; text: string; before: number; after: number }[];
}

/** A saved address that a run moves. */
export interface AddressMove {
  id: string;
  /** Slug of its lens. */
  lens: string;
  name: string;
  address: string;
  matched: { before: number; after: number };
  /** Whether it finds what it must then. */
  holds: boolean;
}

/** Saved addresses that are named at most. */
const addressesShown = 200;

/** Changed posts that are shown of each kind. */
const shownOfKind = 100;

/** What a run would do, in words and numbers for whoever is to keep it. */
export async function previewOf(
  client: Client,
  sourceId: string,
  before: SourceState,
  kept: ReadonlyMap<string, KeptPost>,
  brought: Brought,
  diff: RunDiff,
): Promise<RunPreview> {
  const now = new Map(brought.posts.map((post) => [post.id, post]));
  const titleKey = fieldWithRole(brought.fields, 'title')?.key;
  const shown = (['added', 'changed', 'removed'] as const).flatMap((kind) =>
    brought.changes.filter(({ change }) => change === kind).slice(0, shownOfKind),
  );
  const posts = shown.map((change): PostDiff => {
    const [was, is] = [kept.get(change.id), now.get(change.id)];
    const title = titleKey === undefined ? '' : writtenRaw((is ?? was)!.raw[titleKey]);
    const values = change.fields.map((key) => ({
      key,
      before: writtenRaw(was?.raw[key]),
      after: writtenRaw(is?.raw[key]),
    }));
    return { ...change, title: title || change.id, values };
  });
  const known = new Map(before.findings.map((finding) => [finding.id, finding.posts]));
  const gone = before.fields.filter(
    ({ key, filled }) => filled > 0 && brought.fields.find((field) => field.key === key)?.filled === 0,
  );
  return {
    ...diff,
    posts,
    ...(await movesOf(client, sourceId, before, kept, brought)),
    findings: brought.findings.filter(({ id, posts: all }) => all > (known.get(id) ?? 0)),
    fields: {
      added: brought.fields
        .filter(({ key }) => !before.fields.some((field) => field.key === key))
        .map(({ key }) => key),
      gone: gone.map(({ key }) => key),
    },
    mends: brought.fields.flatMap(({ key, mends = [] }) =>
      mends.map(({ id, text, used = 0 }) => {
        const was = before.fields.find((field) => field.key === key)?.mends?.find((mend) => mend.id === id);
        return { id, field: key, text, before: was?.used ?? 0, after: used };
      }),
    ),
  };
}

/** A lens as visitors have it where it is released, else its draft. */
interface LensState {
  id: string;
  slug: string;
  name: string;
  config: object;
}

/** How many posts each lens has, and would have, and what becomes of its saved addresses. */
async function movesOf(
  client: Client,
  sourceId: string,
  before: SourceState,
  kept: ReadonlyMap<string, KeptPost>,
  brought: Brought,
): Promise<Pick<RunPreview, 'lenses' | 'addresses'>> {
  const { rows } = await client.query<LensState>(
    `SELECT lens.id, lens.slug, lens.name, coalesce(
       (SELECT config FROM release WHERE lens_id = lens.id ORDER BY number DESC LIMIT 1), lens.draft) AS config
     FROM lens WHERE source_id = $1 AND deleted_at IS NULL ORDER BY slug`,
    [sourceId],
  );
  if (rows.length === 0) return { lenses: [], addresses: [] };
  const saved = await client.query<SavedRow>(
    'SELECT id, lens_id, name, address, expect FROM saved_address WHERE lens_id = ANY($1) ORDER BY lens_id, position',
    [rows.map(({ id }) => id)],
  );
  const terms = await readTerms(client, sourceId);
  const was = indexOf(before.fields, terms, [...kept.values()]);
  const is = indexOf(brought.fields, brought.terms, brought.posts);
  const lenses = rows.map(({ slug, name, config }) => ({
    slug,
    name,
    matched: { before: totalOf(was, config), after: totalOf(is, config) },
  }));
  const addresses = rows.flatMap((lens) =>
    addressMoves(
      was,
      is,
      lens,
      saved.rows.filter(({ lens_id }) => lens_id === lens.id),
    ),
  );
  return { lenses, addresses: addresses.slice(0, addressesShown) };
}

interface SavedRow {
  id: string;
  lens_id: string;
  name: string;
  address: string;
  expect: Expectation;
}

function addressMoves(
  was: PostIndex,
  is: PostIndex,
  { slug, config }: LensState,
  saved: readonly SavedRow[],
): AddressMove[] {
  const read = readLens(config);
  if (!read.ok || !worksWith(was, read.value) || !worksWith(is, read.value)) return [];
  const now = Date.now();
  return saved.flatMap(({ id, name, address, expect }) => {
    const [before, after] = [was, is].map((index) => checkAddress(index, read.value, address, expect, null, now));
    const matched = { before: before!.got.matched, after: after!.got.matched };
    const moves = matched.before !== matched.after || !after!.holds;
    return moves ? { id, lens: slug, name, address, matched, holds: after!.holds } : [];
  });
}

function indexOf(
  fields: readonly FieldDescription[],
  terms: Record<string, Term[]>,
  posts: readonly KeptPost[],
): PostIndex {
  const all = posts.filter(({ leftBy }) => leftBy.length === 0);
  const builder = new IndexBuilder(answered(fields), terms, all.length);
  builder.add(all.map(({ id, values }) => ({ id, values })));
  return finished(builder.finish());
}

/** How many posts a lens has where nothing is chosen; none where it can't work with them. */
function totalOf(index: PostIndex, config: object): number {
  const read = readLens(config);
  if (!read.ok) return 0;
  if (!worksWith(index, read.value)) return 0;
  const { query } = readQuestion(index, read.value, '', Date.now());
  finished(prepareAnswer(index, query));
  return answer(index, query).total;
}

/** Whether all fields are there that a lens reads. */
function worksWith(index: PostIndex, { facets }: Lens): boolean {
  return facets.flatMap((facet) => kindOf(facet).fields(facet)).every((key) => index.field(key));
}
