import type { DryRun, Lens } from '@ivy/core';
import { ArrowUp, Ban, Pin, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useApi } from '../../api/api.js';
import { figure } from '../../shared/figures.js';
import { FollowsWiring } from './follows-wiring.js';
import { NothingWiring } from './nothing-wiring.js';
import { NumberRow, type ResultsProps } from './parts.js';
import { TermCondition } from './term-condition.js';

type Scope = Lens['scope'];
/** A list of posts that were put there by hand. */
type List = 'pinned' | 'include' | 'exclude';

const lists: Record<List, { title: string; verb: string; Icon: typeof Pin }> = {
  pinned: { title: 'First of all', verb: 'Pin', Icon: Pin },
  include: { title: 'There whatever they have', verb: 'Add', Icon: Plus },
  exclude: { title: 'Never there', verb: 'Leave out', Icon: Ban },
};

/** Which posts the lens sees: by their terms, by hand, and how many. */
export function PostsWiring({
  lens,
  slug,
  source,
  fields,
  dryRun,
  posts,
  onEdit,
}: ResultsProps & { dryRun: DryRun | null; posts: number }) {
  const { scope } = lens;
  const set = (change: Partial<Scope>) => onEdit({ ...lens, scope: { ...scope, ...change } });
  // a condition is none until a term is ticked, so that the listing is never empty on the way
  const [begun, setBegun] = useState<readonly string[]>([]);
  const conditions = [...scope.where, ...begun.flatMap((field) => (isThere(scope, field) ? [] : { field, is: [] }))];
  const setWhere = (field: string, is: string[]) => {
    const others = scope.where.filter((one) => one.field !== field);
    setBegun((all) => [...new Set([...all, field])]);
    if (is.length === 0) set({ where: others });
    else if (!isThere(scope, field)) set({ where: [...scope.where, { field, is }] });
    else set({ where: scope.where.map((one) => (one.field === field ? { ...one, is } : one)) });
  };
  const remove = (field: string) => {
    setBegun((all) => all.filter((one) => one !== field));
    if (isThere(scope, field)) set({ where: scope.where.filter((one) => one.field !== field) });
  };
  const total = dryRun?.answer.total;
  const free = fields.filter(({ key, type }) => type === 'terms' && !conditions.some((one) => one.field === key));
  return (
    <>
      <section className="section">
        <p>
          <b className="serif text-[21px] font-semibold">{total === undefined ? '…' : figure(total)}</b>{' '}
          <span className="text-ink-2">of {figure(posts)} posts are in the listing</span>
        </p>
        <div className="mt-1.5 h-1 bg-sunk" aria-hidden="true">
          <div className="h-full bg-ivy" style={{ width: `${(100 * (total ?? 0)) / Math.max(1, posts)}%` }} />
        </div>
      </section>
      {conditions.map(({ field, is }) => (
        <TermCondition
          key={field}
          source={source}
          field={fields.find(({ key }) => key === field)}
          fieldKey={field}
          is={is}
          onChange={(next) => setWhere(field, next)}
          onRemove={() => remove(field)}
        />
      ))}
      <section className="section">
        <select
          className="field w-full"
          aria-label="Only posts with some terms"
          value=""
          onChange={(event) => setBegun([...begun, event.target.value])}
        >
          <option value="">Only posts with…</option>
          {free.map(({ key, label }) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>
      </section>
      <ByHand source={source} scope={scope} onChange={set} />
      <NumberRow
        label="At most, newest first"
        id="scope-limit"
        value={scope.limit ?? null}
        min={1}
        max={10_000_000}
        mayBeEmpty
        onChange={(limit) => {
          const { limit: _before, ...others } = scope;
          onEdit({ ...lens, scope: limit === null ? others : { ...others, limit } });
        }}
      />
      <FollowsWiring {...{ lens, slug, source, fields, onEdit }} />
      <NothingWiring {...{ lens, slug, source, fields, onEdit }} />
    </>
  );
}

function isThere({ where }: Scope, field: string): boolean {
  return where.some((one) => one.field === field);
}

function ByHand({
  source,
  scope,
  onChange,
}: {
  source: string;
  scope: Scope;
  onChange: (change: Partial<Scope>) => void;
}) {
  const [find, setFind] = useState('');
  const query = new URLSearchParams({ q: find, size: '6' }).toString();
  const isAsked = find.trim() !== '';
  const found = useApi(
    '/api/v1/sources/{slug}/posts',
    isAsked ? { slug: source } : null,
    { keepPreviousData: true },
    query,
  );
  const put = (list: List, id: string) => {
    // a post can't be there and not be there
    const without = (ids: readonly string[]) => ids.filter((one) => one !== id);
    const change: Partial<Scope> = { [list]: [...without(scope[list]), id] };
    if (list === 'exclude') Object.assign(change, { include: without(scope.include), pinned: without(scope.pinned) });
    else if (scope.exclude.includes(id)) change.exclude = without(scope.exclude);
    onChange(change);
  };
  return (
    <section className="section">
      <label className="eyebrow mb-1.5 block" htmlFor="find-post">
        By hand
      </label>
      <input
        id="find-post"
        type="search"
        className="field w-full"
        placeholder="A title, or an id"
        value={find}
        onChange={(event) => setFind(event.target.value)}
      />
      {found.error && <p className="mt-1 text-bad">{found.error.message}</p>}
      {isAsked && found.data && (
        <ul className="mt-1.5 border-y border-rule" aria-label="Posts found">
          {found.data.items.length === 0 && <li className="py-1 text-ink-2">No post is called that.</li>}
          {found.data.items.map(({ id, title }) => (
            <li key={id} className="flex items-center gap-1 border-b border-rule py-0.5 last:border-0">
              <span className="min-w-0 flex-1 truncate" title={`${title} (${id})`}>
                {title}
              </span>
              {(Object.keys(lists) as List[]).map((list) => {
                const { verb, Icon } = lists[list];
                return (
                  <button
                    key={list}
                    type="button"
                    className="icon-button"
                    aria-label={`${verb} ${title}`}
                    title={verb}
                    aria-pressed={scope[list].includes(id)}
                    onClick={() => put(list, id)}
                  >
                    <Icon size={14} />
                  </button>
                );
              })}
            </li>
          ))}
        </ul>
      )}
      {(Object.keys(lists) as List[]).map((list) => (
        <Listed
          key={list}
          source={source}
          list={list}
          ids={scope[list]}
          onChange={(ids) => onChange({ [list]: ids })}
        />
      ))}
    </section>
  );
}

/** Posts of a list, in its order. */
function Listed({
  source,
  list,
  ids,
  onChange,
}: {
  source: string;
  list: List;
  ids: readonly string[];
  onChange: (ids: string[]) => void;
}) {
  const query = new URLSearchParams({ ids: ids.map(encodeURIComponent).join(',') }).toString();
  const { data } = useApi(
    '/api/v1/sources/{slug}/posts',
    ids.length > 0 ? { slug: source } : null,
    { keepPreviousData: true },
    query,
  );
  if (ids.length === 0) return null;
  const titleOf = (id: string) => data?.items.find((one) => one.id === id)?.title;
  const up = (at: number) => onChange(ids.toSpliced(at, 1).toSpliced(at - 1, 0, ids[at]!));
  return (
    <div className="mt-2.5">
      <h4 className="text-[13px] font-semibold">{lists[list].title}</h4>
      <ol aria-label={lists[list].title}>
        {ids.map((id, at) => (
          <li key={id} className="flex items-center gap-1">
            <span className={`min-w-0 flex-1 truncate ${data && !titleOf(id) ? 'text-rust' : ''}`} title={id}>
              {titleOf(id) ?? (data ? `${id}: no such post` : id)}
            </span>
            {list === 'pinned' && at > 0 && (
              <button
                type="button"
                className="icon-button"
                aria-label={`Move ${titleOf(id) ?? id} up`}
                onClick={() => up(at)}
              >
                <ArrowUp size={13} />
              </button>
            )}
            <button
              type="button"
              className="icon-button"
              aria-label={`Take ${titleOf(id) ?? id} off the list`}
              onClick={() => onChange(ids.filter((one) => one !== id))}
            >
              <X size={13} />
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}
