import { ApiProblem } from '@ivy/client';
import { changesBetween, type Lens } from '@ivy/core';
import { ArrowLeft, ListChecks } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, useApi } from '../api/api.js';
import { AppBar } from '../app/app-bar.js';
import { countOf } from '../shared/figures.js';
import { HelpLink } from '../shared/help-link.js';
import { Failed, Loading } from '../shared/states.js';
import { ChangesList } from './changes-list.js';
import { Compare, useCompared } from './compare.js';
import { HoldingAddresses } from './holding-addresses.js';
import { CheckPage } from './check-page.js';
import { FeedLine, MappedLine, Snippet } from './snippet.js';
import { ReplaceDraft } from './replace-draft.js';
import { Said, type SaidWords } from './said.js';
import { SettingsFile } from './settings-file.js';
import { TakeAlong } from './take-along.js';
import { Vine } from './vine.js';

/** What could take the place of the draft. */
interface Replacing {
  what: string;
  config: Lens;
  run: () => Promise<void>;
}

/** What visitors will notice, the releases so far, and the line that puts the lens on a page. */
export function PublishPage() {
  const { slug = '' } = useParams();
  const lens = useApi('/api/v1/lenses/{slug}', { slug });
  const releases = useApi('/api/v1/lenses/{slug}/releases', { slug });
  const [note, setNote] = useState('');
  const [busy, setBusy] = useState(false);
  const source = useApi('/api/v1/sources/{slug}', lens.data?.source === undefined ? null : { slug: lens.data.source });
  const [said, setSaid] = useState<SaidWords | null>(null);
  const [replacing, setReplacing] = useState<Replacing | null>(null);
  const compared = useCompared();
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
  const { draft, restored } = lens.data;
  const fields = source.data?.fields ?? [];
  const changes = newest ? changesBetween(newest.config, draft, fields) : null;
  const nothingNew = newest !== undefined && !lens.data.changed;
  const of = (number: number) => releases.data!.find((release) => release.number === number)!;

  const run = async (work: () => Promise<SaidWords>, anyway?: () => void) => {
    setBusy(true);
    try {
      const words = await work();
      await Promise.all([lens.mutate(), releases.mutate()]);
      setSaid(words);
    } catch (problem) {
      const stopped = problem instanceof ApiProblem && problem.code === 'addresses-fail' ? problem.errors : [];
      setSaid({
        words: (problem as Error).message,
        isBad: true,
        reasons: stopped.map(({ message }) => message),
        ...(stopped.length > 0 && anyway && { act: { label: 'Publish anyway', run: anyway } }),
      });
    } finally {
      setBusy(false);
    }
  };
  const publish = (anyway = false) =>
    run(
      async () => {
        const { number } = await api.ask(
          'post',
          '/api/v1/lenses/{slug}/releases',
          { slug },
          { body: { note, draftRevision: lens.data!.draftRevision, ...(anyway && { anyway }) } },
        );
        setNote('');
        return { words: `Release ${number} is live. Pages have it from their next request on.` };
      },
      () => void publish(true),
    );
  const publishAgain = (number: number, anyway = false) =>
    run(
      async () => {
        const made = await api.ask(
          'post',
          '/api/v1/lenses/{slug}/releases/{number}/publish',
          { slug, number },
          { body: anyway ? { anyway } : {} },
        );
        return { words: `Release ${number} is live again, as release ${made.number}. The draft is as it was.` };
      },
      () => void publishAgain(number, true),
    );
  const undoRestore = () =>
    run(async () => {
      await api.ask('post', '/api/v1/lenses/{slug}/draft/undo', { slug });
      return { words: 'The draft is what it was before.' };
    });
  const restore = (number: number) =>
    run(async () => {
      setReplacing(null);
      await api.ask('post', '/api/v1/lenses/{slug}/releases/{number}/restore', { slug, number });
      return {
        words: `Release ${number} is the draft now. Visitors keep what they have until you publish.`,
        act: { label: 'Take it back', run: () => void undoRestore() },
      };
    });
  const put = (config: Lens, revision: number) =>
    api.ask(
      'put',
      '/api/v1/lenses/{slug}/draft',
      { slug },
      { body: { config }, headers: { 'if-match': `"${revision}"` } },
    );
  const takeFile = (config: Lens, what: string) =>
    run(async () => {
      setReplacing(null);
      const { draftRevision } = await put(config, lens.data!.draftRevision);
      const back = () =>
        run(async () => {
          await put(draft, draftRevision);
          return { words: 'The draft is what it was before.' };
        });
      return {
        words: `The draft is what ${what} says. Visitors keep what they have until you publish.`,
        act: { label: 'Take it back', run: () => void back() },
      };
    });
  return (
    <div className="flex h-full flex-col max-[1023px]:h-auto">
      <AppBar crumbs={crumbs}>
        <Link to={`/lenses/${slug}/addresses`} className="button" aria-label="Addresses">
          <ListChecks size={15} /> <span className="max-sm:sr-only">Addresses</span>
        </Link>
        <Link to={`/lenses/${slug}`} className="button" aria-label="Back to the bench">
          <ArrowLeft size={15} /> <span className="max-sm:sr-only">Back to the bench</span>
        </Link>
      </AppBar>
      <section
        aria-label="The next release"
        className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-rule bg-raised px-4 py-2"
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
        <HelpLink page="publish-safely" />
        <label className="sr-only" htmlFor="note">
          What is new, in a few words
        </label>
        <input
          id="note"
          className="field ms-auto h-[30px] w-[300px] max-w-full"
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
      <div className="flex min-h-0 flex-1 max-[1023px]:block">
        <Vine
          releases={releases.data}
          changes={changes?.length ?? null}
          onRestore={(number) =>
            setReplacing({ what: `Release ${number}`, config: of(number).config, run: () => restore(number) })
          }
          onAgain={(number) => void publishAgain(number)}
        />
        <main className="min-w-0 flex-1 overflow-y-auto bg-raised px-6 py-5 max-sm:px-4">
          <Said said={said} busy={busy} />
          {replacing && (
            <ReplaceDraft
              what={replacing.what}
              lost={changesBetween(replacing.config, draft, fields)}
              onDo={() => void replacing.run()}
              onLeave={() => setReplacing(null)}
            />
          )}
          {restored !== null && restored !== undefined && !said?.act && (
            <p className="mb-4 flex flex-wrap items-center gap-3 bg-sunk px-3 py-2">
              Release {restored} took the place of the draft.
              <button type="button" className="link" onClick={() => void undoRestore()}>
                Take it back
              </button>
            </p>
          )}
          {!nothingNew && <HoldingAddresses slug={slug} />}
          {releases.data.length > 0 && <Compare {...compared} releases={releases.data} />}
          {compared.from === null || !newest ? (
            <ChangesList
              {...{ changes }}
              facets={draft.facets}
              before={`release ${newest?.number}`}
              after="the draft"
            />
          ) : (
            <ChangesList
              changes={changesBetween(
                of(compared.from).config,
                compared.to === null ? draft : of(compared.to).config,
                fields,
              )}
              facets={draft.facets}
              before={`release ${compared.from}`}
              after={compared.to === null ? 'the draft' : `release ${compared.to}`}
            />
          )}
        </main>
        <aside
          className="w-[400px] shrink-0 overflow-y-auto border-s border-rule bg-paper max-[1023px]:w-auto"
          aria-label="On a page"
        >
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
          {newest && <FeedLine slug={slug} />}
          {newest && <TakeAlong slug={slug} release={newest.number} />}
          <SettingsFile
            {...{ slug, draft, fields }}
            onRead={(config, what) => setReplacing({ what, config, run: () => takeFile(config, what) })}
          />
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
