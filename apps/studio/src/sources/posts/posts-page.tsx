import type { SourceView } from '@ivy/client';
import { answered, hasTerms, type FieldDescription } from '@ivy/core';
import { useDeferredValue, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useApi } from '../../api/api.js';
import { AppBar } from '../../app/app-bar.js';
import { countOf, figure } from '../../shared/figures.js';
import { FindBox } from '../../shared/find-box.js';
import { Failed, Loading } from '../../shared/states.js';
import { PostSheet } from './post-sheet.js';
import { PostTable } from './post-table.js';
import { queryOf, usePosts, type Asked } from './use-posts.js';

/** All posts of a source: searched, ordered, filtered, and one of them in full. */
export function PostsPage() {
  const { slug = '' } = useParams();
  const { data: source, error, mutate: again } = useApi('/api/v1/sources/{slug}', { slug });
  return (
    <div className="flex h-full flex-col">
      <AppBar
        crumbs={[
          { label: 'Sources', to: '/sources' },
          { label: source?.name ?? slug, to: `/sources/${slug}` },
          { label: 'Posts' },
        ]}
      />
      {error ? (
        <Failed error={error} retry={() => void again()} />
      ) : source ? (
        <Posts source={source} />
      ) : (
        <Loading words="Fetching the posts" />
      )}
    </div>
  );
}

/** What posts go out as. */
const exports = { csv: 'CSV', ndjson: 'NDJSON', jsonfeed: 'JSON Feed', atom: 'Atom' };

/** Filters and columns offered at most: a table is no form. */
const mostFilters = 6;
const usualColumns = 5;

function Posts({ source }: { source: SourceView }) {
  const fields = answered(source.fields);
  const [said] = useSearchParams();
  const [asked, setAsked] = useState<Asked>(() => ({
    words: '',
    sort: '',
    order: 'asc',
    filter: filterOf(said, fields),
  }));
  const [columns, setColumns] = useState(() => usual(fields));
  const [chosen, setChosen] = useState<string | null>(null);
  const later = useDeferredValue(asked);
  const posts = usePosts(source.slug, later);
  const isMany = (posts.total ?? 0) > 0;
  const { data: ruler } = useApi(
    '/api/v1/sources/{slug}/ruler',
    isMany ? { slug: source.slug } : null,
    {},
    queryOf(later),
  );
  const filters = fields
    .filter((field) => hasTerms(field) && field.role === null && field.distinct > 1)
    // what is narrowed by stands among them
    .sort((a, b) => Number(b.key in asked.filter) - Number(a.key in asked.filter))
    .slice(0, mostFilters);
  const change = (more: Partial<Asked>) => setAsked((now) => ({ ...now, ...more }));
  return (
    <>
      <section
        aria-label="Which posts"
        className="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-rule bg-raised px-4 py-2"
      >
        <FindBox
          label="Find posts by words or id"
          placeholder="Words, or an id"
          value={asked.words}
          width={200}
          most={200}
          onFind={(words) => change({ words })}
        />
        {filters.map((field) => (
          <Filter
            key={field.key}
            slug={source.slug}
            field={field}
            value={asked.filter[field.key] ?? ''}
            onChange={(term) => change({ filter: { ...asked.filter, [field.key]: term } })}
          />
        ))}
        <span className="ms-auto flex items-baseline gap-3">
          {Object.entries(exports).map(([as, words]) => (
            <a
              key={as}
              className="link text-[13px]"
              title="What is found, in this order"
              href={`/api/v1/sources/${encodeURIComponent(source.slug)}/export?as=${as}&${queryOf(later)}`}
              download
            >
              {words}
            </a>
          ))}
          <span role="status">
            <b className="serif text-[21px] font-semibold">{posts.total === null ? '…' : figure(posts.total)}</b>{' '}
            <span className="text-ink-2">of {countOf(source.posts, 'post')}</span>
          </span>
        </span>
      </section>
      <div className="flex min-h-0 flex-1">
        <main className={`flex min-w-0 flex-1 flex-col bg-raised ${chosen === null ? '' : 'max-lg:hidden'}`}>
          {posts.problem ? (
            <p className="m-5 text-bad" role="alert">
              {posts.problem}
            </p>
          ) : posts.total === 0 ? (
            <p className="remark p-8 text-[16px] text-ink-2">
              No post has all of that.{' '}
              <button
                type="button"
                className="link font-sans text-[14px] not-italic"
                onClick={() => change({ words: '', filter: {} })}
              >
                Show all
              </button>
            </p>
          ) : (
            <PostTable
              key={queryOf(later)}
              fields={fields}
              columns={columns}
              asked={asked}
              posts={posts}
              ruler={ruler}
              chosen={chosen}
              onSort={(sort) => change({ sort, order: asked.sort === sort && asked.order === 'asc' ? 'desc' : 'asc' })}
              onChoose={setChosen}
              onColumns={setColumns}
            />
          )}
        </main>
        {chosen !== null && <PostSheet key={chosen} source={source} id={chosen} onClose={() => setChosen(null)} />}
      </div>
    </>
  );
}

/** What the address narrows the posts to: `?habitat=mudflat`. */
function filterOf(said: URLSearchParams, fields: readonly FieldDescription[]): Record<string, string> {
  return Object.fromEntries([...said].filter(([key]) => fields.some((field) => field.key === key && hasTerms(field))));
}

/** The columns a table begins with: the title, and what tells posts apart. */
function usual(fields: readonly FieldDescription[]): string[] {
  const title = fields.filter(({ role }) => role === 'title');
  const telling = fields.filter((field) => hasTerms(field) && field.role === null);
  const measured = fields.filter(({ type }) => ['date', 'datetime', 'number'].includes(type));
  const others = fields.filter(({ role }) => role !== 'title' && role !== 'id');
  return [...new Set([...title, ...telling.slice(0, 3), ...measured, ...others])]
    .slice(0, usualColumns)
    .map(({ key }) => key);
}

interface FilterProps {
  slug: string;
  field: FieldDescription;
  value: string;
  onChange: (term: string) => void;
}

function Filter({ slug, field, value, onChange }: FilterProps) {
  const { data = [] } = useApi('/api/v1/sources/{slug}/terms/{field}', { slug, field: field.key });
  return (
    <select
      className={`field h-[30px] max-w-[150px] ${value === '' ? 'text-ink-2' : 'font-semibold'}`}
      aria-label={`Only ${field.label}`}
      value={value}
      onChange={({ target }) => onChange(target.value)}
    >
      <option value="">{field.label}: any</option>
      {data.slice(0, 500).map(({ slug: term, label, count, parent }) => (
        <option key={term} value={term}>
          {parent === null ? '' : '– '}
          {label} ({figure(count)})
        </option>
      ))}
    </select>
  );
}
