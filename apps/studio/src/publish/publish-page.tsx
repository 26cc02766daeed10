import { ArrowLeft, ArrowRight } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, useApi } from '../api/api.js';
import type { LensView } from '@ivy/client';
import { AppBar } from '../app/app-bar.js';
import { changesBetween, type LensChange } from '@ivy/core';
import { huesOf } from '../bench/edits.js';
import { countOf } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { Failed, Loading } from '../shared/states.js';
import { CheckPage } from './check-page.js';
import { MappedLine, Snippet } from './snippet.js';
import { Vine } from './vine.js';

/** What visitors will notice, the releases so far, and the line that puts the lens on a page. */
export function PublishPage() {
  const { slug = '' } = useParams();
  const lens = useApi('/api/v1/lenses/{slug}', { slug });
  const releases = useApi('/api/v1/lenses/{slug}/releases', { slug });
  const [note, setNote] = useState('');
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<{ words: string; bad: boolean } | null>(null);
  const retry = () => void Promise.all([lens.mutate(), releases.mutate()]);
  const error: unknown = lens.error ?? releases.error;
  const crumbs = [
    { label: 'Sources', to: '/sources' },
    { label: lens.data?.name ?? slug, to: `/lenses/${slug}` },
    { label: 'Publish' },
  ];
  if (error || !lens.data || !releases.data) {
    return (
      <>
        <AppBar crumbs={crumbs} />
        {error ? <Failed error={error} retry={retry} /> : <Loading words="Gathering the releases" />}
      </>
    );
  }
  const newest = releases.data[0];
  const next = (newest?.number ?? 0) + 1;
  const changes = newest ? changesBetween(newest.config, lens.data.draft) : null;
  const nothingNew = newest !== undefined && !lens.data.changed;

  const run = async (work: () => Promise<string>) => {
    setBusy(true);
    try {
      const words = await work();
      await Promise.all([lens.mutate(), releases.mutate()]);
      setSaid({ words, bad: false });
    } catch (problem) {
      setSaid({ words: (problem as Error).message, bad: true });
    } finally {
      setBusy(false);
    }
  };
  const publish = () =>
    run(async () => {
      const { number } = await api.ask(
        'post',
        '/api/v1/lenses/{slug}/releases',
        { slug },
        {
          body: { note, draftRevision: lens.data!.draftRevision },
        },
      );
      setNote('');
      return `Release ${number} is live. Pages have it from their next request on.`;
    });
  const restore = (number: number) =>
    run(async () => {
      await api.ask('post', '/api/v1/lenses/{slug}/releases/{number}/restore', { slug, number });
      return `Release ${number} is the draft now. Visitors keep what they have until you publish.`;
    });
  return (
    <div className="flex h-full min-w-[1024px] flex-col">
      <AppBar crumbs={crumbs}>
        <Link to={`/lenses/${slug}`} className="button">
          <ArrowLeft size={15} /> Back to the bench
        </Link>
      </AppBar>
      <section
        aria-label="The next release"
        className="flex h-[50px] shrink-0 items-center gap-3 border-b border-rule bg-raised px-4"
      >
        <span className="serif text-[19px] font-semibold">Release {nothingNew ? newest.number : next}</span>
        <span
          className={`rounded-[3px] px-1.5 text-[12.5px] font-semibold ${nothingNew ? 'bg-ivy-soft text-ivy' : 'bg-rust-soft text-rust'}`}
        >
          {nothingNew ? 'live' : 'draft'}
        </span>
        <span className="remark text-ink-2">
          {changes === null
            ? 'never released'
            : changes.length === 0
              ? 'nothing to publish'
              : countOf(changes.length, 'change')}
        </span>
        <label className="sr-only" htmlFor="note">
          What is new, in a few words
        </label>
        <input
          id="note"
          className="field ms-auto h-[30px] w-[300px]"
          placeholder="What is new, in a few words"
          maxLength={500}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          disabled={nothingNew}
        />
        <button
          type="button"
          className="button button-main"
          disabled={busy || nothingNew}
          onClick={() => void publish()}
        >
          Publish release {nothingNew ? newest.number + 1 : next}
        </button>
      </section>
      <div className="flex min-h-0 flex-1">
        <Vine releases={releases.data} changes={changes?.length ?? null} onRestore={(number) => void restore(number)} />
        <main className="min-w-0 flex-1 overflow-y-auto bg-raised px-6 py-5">
          <div role="status">
            {said && (
              <p
                className={`mb-4 rounded-[3px] px-3 py-2 ${said.bad ? 'bg-bad-soft text-bad' : 'bg-ivy-soft text-ink'}`}
              >
                {said.words}
              </p>
            )}
          </div>
          <Notices changes={changes} draft={lens.data.draft} release={newest?.number} />
        </main>
        <aside className="w-[400px] shrink-0 overflow-y-auto border-s border-rule bg-paper" aria-label="On a page">
          {lens.data.draft.markup.marks.length > 0 ? <MappedLine slug={slug} /> : <Snippet slug={slug} />}
          <CheckPage slug={slug} />
          {lens.data.draft.markup.marks.length === 0 && (
            <section className="section">
              <h2 className="serif text-[16.5px] font-semibold">On a page that has its own cards</h2>
              <p className="mt-0.5 text-[13px] text-ink-2">
                Where a page lists the posts already, its own form can filter its own list.{' '}
                <Link to={`/lenses/${slug}/page`} className="link">
                  Mark that page
                </Link>
              </p>
            </section>
          )}
          <section className="section">
            <h2 className="serif text-[16.5px] font-semibold">Parts can stand apart</h2>
            <p className="mt-0.5 text-[13px] text-ink-2">
              Instead of the whole, put parts where the page wants them. All of one name stay in step.
            </p>
            <ul className="mono mt-2 text-[12px] leading-6 text-ink-2">
              {['ivy-facets', 'ivy-chips', 'ivy-count', 'ivy-sort', 'ivy-results', 'ivy-pager'].map((part) => (
                <li key={part}>{`<${part} name="${slug}"></${part}>`}</li>
              ))}
            </ul>
          </section>
        </aside>
      </div>
    </div>
  );
}

function Notices({
  changes,
  draft,
  release,
}: {
  changes: LensChange[] | null;
  draft: LensView['draft'];
  release: number | undefined;
}) {
  const hues = huesOf(draft.facets);
  if (changes === null) {
    return (
      <>
        <h2 className="serif text-[23px] font-semibold">Not on any page yet</h2>
        <p className="mt-1 max-w-lg text-ink-2">
          The first release is what visitors get. After that the draft can change as it likes: they keep the release
          until you publish another.
        </p>
      </>
    );
  }
  if (changes.length === 0) {
    return (
      <>
        <h2 className="serif text-[23px] font-semibold">Visitors have all of it</h2>
        <p className="mt-1 text-ink-2">The draft reads the same as release {release}.</p>
      </>
    );
  }
  return (
    <>
      <h2 className="serif text-[23px] font-semibold">
        What visitors will notice{' '}
        <span className="remark ms-1 text-[15px] font-normal text-ink-2">{countOf(changes.length, 'thing')}</span>
      </h2>
      <ul className="mt-3 border-t border-rule">
        {changes.map((change) => {
          const hue = change.facet === null ? undefined : hues.get(change.facet);
          return (
            <li
              key={`${change.facet} ${change.title}`}
              className="border-b border-rule py-4"
              {...(hue ? hueAttribute(hue) : {})}
            >
              <p className="serif flex items-center gap-2 text-[16.5px] font-semibold">
                {hue ? <Seed hue={hue} /> : <span className="w-[13px]" />} {change.title}
              </p>
              {change.before !== undefined && change.after !== undefined && (
                <div className="mt-2 grid max-w-xl grid-cols-[1fr_24px_1fr] items-center gap-2 ps-[21px]">
                  <p className="rounded-[3px] border border-rule bg-paper px-3 py-2">
                    <span className="remark block text-[13px] text-ink-3">in release {release}</span>
                    {change.before}
                  </p>
                  <ArrowRight size={15} className="mx-auto text-ink-3" aria-label="becomes" />
                  <p className={`rounded-[3px] border px-3 py-2 ${hue ? 'border-hue' : 'border-ivy'} bg-paper`}>
                    <span className="remark block text-[13px] text-ink-3">in the next</span>
                    {change.after}
                  </p>
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}
