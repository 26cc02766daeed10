import type { FieldDescription } from '@ivy/core';
import { Redo2, Undo2 } from 'lucide-react';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState, type RefObject } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { ApiProblem } from '@ivy/client';
import { api, useApi } from '../api/api.js';
import type { LensView, SourceView } from '@ivy/client';
import { AppBar } from '../app/app-bar.js';
import { countOf } from '../shared/figures.js';
import { Failed, Loading } from '../shared/states.js';
import { AddressStrip } from './address-strip.js';
import { benchReducer, startBench } from './bench-state.js';
import { changesBetween } from '@ivy/core';
import { Desk, type DeskState } from './desk.js';
import { addFacet, changeFacet, duplicateFacet, huesOf, moveFacet, placeFacet, removeFacet } from './edits.js';
import { Outline } from './outline.js';
import { ResultsWiring } from './results-wiring.js';
import { trialsFor, type Trials } from '../trial/trials.js';
import { Thread } from './thread.js';
import { usePreview } from './use-preview.js';
import { useSaving, type Saving } from './use-saving.js';
import { Wiring } from './wiring.js';

/** Where a lens is made: the live page in the middle, its address above, its parts beside it. */
export function BenchPage() {
  const { slug = '' } = useParams();
  // the Bench holds the draft from here on, so it is fetched anew on arrival and not behind one's back
  const lens = useApi('/api/v1/lenses/{slug}', { slug }, { revalidateOnReconnect: false, revalidateIfStale: true });
  const source = useApi('/api/v1/sources/{slug}', lens.data ? { slug: lens.data.source } : null);
  const error: unknown = lens.error ?? source.error;
  if (error) {
    return (
      <>
        <AppBar crumbs={[{ label: 'Sources', to: '/sources' }, { label: slug }]} />
        <Failed error={error} retry={() => void Promise.all([lens.mutate(), source.mutate()])} />
      </>
    );
  }
  if (!lens.data || !source.data || lens.isValidating) return <Loading words="Setting up the bench" />;
  return <Bench key={slug} loaded={lens.data} source={source.data} />;
}

function Bench({ loaded, source }: { loaded: LensView; source: SourceView }) {
  const { slug } = loaded;
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const { search } = useLocation();
  const address = search.replace(/^\?/, '');
  const [state, dispatch] = useReducer(benchReducer, loaded.draft, (draft) => startBench(draft, address));
  const { lens, focus } = state;
  const frame = useRef<HTMLIFrameElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const [layout, setLayout] = useState(0);
  const [pageState, setPageState] = useState<DeskState>('live');
  const relayout = useCallback(() => setLayout((n) => n + 1), []);

  const [saves, setSaves] = useState(0);
  const onSaved = useCallback(() => {
    setSaves((n) => n + 1);
    void mutate('/api/v1/lenses', undefined, { revalidate: true });
  }, [mutate]);
  const { saving, adopt, keepMine, flush } = useSaving(slug, lens, loaded, onSaved);
  const trials = useTrials(slug, source);
  const go = useCallback(
    (next: string, how: 'push' | 'replace' = 'push') =>
      void navigate({ search: next === '' ? '' : `?${next}` }, { replace: how === 'replace' }),
    [navigate],
  );
  const { trial, problem, retry } = usePreview(
    trials,
    lens,
    address,
    frame,
    pageState === 'plain' ? 'live' : pageState,
    go,
  );
  const releases = useApi('/api/v1/lenses/{slug}/releases', { slug });
  const newest = releases.data?.[0];
  const changes = useMemo(() => (newest ? changesBetween(newest.config, lens) : null), [newest, lens]);
  const sinceWords = !releases.data
    ? ''
    : !newest
      ? 'Not released yet'
      : changes!.length > 0
        ? `${countOf(changes!.length, 'change')} since release ${newest.number}`
        : '';
  const hues = huesOf(lens.facets);
  const facet = lens.facets.find((one) => one.key === focus);
  const refused = saving.at === 'refused' ? saving.problem : problem instanceof ApiProblem ? problem : null;

  useFacetClicks(frame, trial !== null, (key) => dispatch({ type: 'focus', key }));
  useUndoKeys(
    () => dispatch({ type: 'undo' }),
    () => dispatch({ type: 'redo' }),
  );
  useEffect(relayout, [relayout, trial, focus, lens.facets.length]);

  const takeTheirs = async () => {
    const theirs = await api.ask('get', '/api/v1/lenses/{slug}', { slug });
    adopt(theirs);
    dispatch({ type: 'load', lens: theirs.draft });
  };
  const takeMine = async () => keepMine(await api.ask('get', '/api/v1/lenses/{slug}', { slug }));
  const add = (field: FieldDescription) => {
    const added = addFacet(lens, field);
    dispatch({ type: 'edit', lens: added.lens, focus: added.key });
  };
  const toPublish = async () => {
    if (await flush()) await navigate(`/lenses/${slug}/publish`);
  };
  return (
    <div className="flex h-full min-w-[1024px] flex-col">
      <AppBar
        crumbs={[
          { label: 'Sources', to: '/sources' },
          { label: source.name, to: `/sources/${source.slug}` },
          { label: loaded.name },
        ]}
      >
        <SavingWords saving={saving} />
        {sinceWords !== '' && (
          <Link to={`/lenses/${slug}/publish`} className="me-1 text-[13px] font-semibold text-rust hover:underline">
            {sinceWords}
          </Link>
        )}
        <button
          type="button"
          className="icon-button"
          aria-label="Undo"
          title="Undo (Ctrl+Z)"
          disabled={state.past.length === 0}
          onClick={() => dispatch({ type: 'undo' })}
        >
          <Undo2 size={16} />
        </button>
        <button
          type="button"
          className="icon-button"
          aria-label="Redo"
          title="Redo (Ctrl+Shift+Z)"
          disabled={state.future.length === 0}
          onClick={() => dispatch({ type: 'redo' })}
        >
          <Redo2 size={16} />
        </button>
        <button type="button" className="button button-main order-last" onClick={() => void toPublish()}>
          Publish
        </button>
      </AppBar>
      <AddressStrip
        lens={lens}
        address={address}
        answer={trial?.answer}
        hues={hues}
        focus={focus}
        onGo={go}
        onFocus={(key) => dispatch({ type: 'focus', key })}
      />
      {saving.at === 'overtaken' && <Overtaken onTheirs={() => void takeTheirs()} onMine={() => void takeMine()} />}
      {problem && !(problem instanceof ApiProblem && problem.status === 422) && (
        <p className="flex items-center gap-3 border-b border-rule bg-bad-soft px-4 py-2" role="alert">
          {problem.message}
          <button type="button" className="button button-small" onClick={retry}>
            Try again
          </button>
        </p>
      )}
      <div ref={stage} className="relative flex min-h-0 flex-1">
        <Outline
          lens={lens}
          fields={source.fields}
          answer={trial?.answer}
          hues={hues}
          focus={focus}
          problem={refused}
          onFocus={(key) => dispatch({ type: 'focus', key })}
          onPlace={(key, over) => dispatch({ type: 'edit', lens: placeFacet(lens, key, over) })}
          onMove={(key, by) => dispatch({ type: 'edit', lens: moveFacet(lens, key, by) })}
          onEye={(key) =>
            dispatch({
              type: 'edit',
              lens: changeFacet(lens, key, { visible: !lens.facets.find((one) => one.key === key)!.visible }),
            })
          }
          onAdd={add}
          onAddition={(addition) => {
            const added = addition.add(lens, source.fields);
            if (added) dispatch({ type: 'edit', lens: added.lens, focus: added.key });
          }}
        />
        <Desk
          slug={slug}
          name={loaded.name}
          frame={frame}
          state={pageState}
          address={address}
          saves={saves}
          onGo={go}
          onState={setPageState}
          onLayout={relayout}
        />
        {facet && pageState !== 'plain' && (
          <Thread
            stage={stage}
            frame={frame}
            focus={facet.key}
            hue={hues.get(facet.key)!}
            layout={layout}
            ready={trial?.answer.facets.some((one) => one.key === facet.key) ?? false}
          />
        )}
        <aside className="w-[312px] shrink-0 border-s border-rule bg-paper" aria-label="Wiring">
          {facet ? (
            <Wiring
              key={facet.key}
              source={source.slug}
              posts={source.posts}
              fields={source.fields}
              lens={lens}
              facet={facet}
              hue={hues.get(facet.key)!}
              trial={trial}
              problem={refused}
              onEdit={(next, topic, focusOn) =>
                dispatch({
                  type: 'edit',
                  lens: next,
                  ...(topic !== undefined && { topic }),
                  ...(focusOn !== undefined && { focus: focusOn }),
                })
              }
              onDuplicate={() => {
                const copy = duplicateFacet(lens, facet.key);
                dispatch({ type: 'edit', lens: copy.lens, focus: copy.key });
              }}
              onRemove={() => dispatch({ type: 'edit', lens: removeFacet(lens, facet.key) })}
            />
          ) : (
            <ResultsWiring
              lens={lens}
              onEdit={(next, topic) => dispatch({ type: 'edit', lens: next, ...(topic !== undefined && { topic }) })}
            />
          )}
        </aside>
      </div>
    </div>
  );
}

/** Whoever tries the lens out, for as long as the Bench is open and the source stays as it is. */
function useTrials(slug: string, { slug: source, posts, updatedAt }: SourceView): Trials {
  const trials = useMemo(() => trialsFor(slug, { slug: source, posts, updatedAt }), [slug, source, posts, updatedAt]);
  useEffect(() => () => trials.stop(), [trials]);
  return trials;
}

function SavingWords({ saving }: { saving: Saving }) {
  const words = {
    saved: '',
    saving: 'saving',
    offline: 'The server does not answer. Trying again.',
    overtaken: '',
    refused: 'Not saved: see the wiring.',
  }[saving.at];
  return (
    <span
      className={`text-[13px] ${saving.at === 'saving' ? 'remark text-ink-3' : 'font-semibold text-bad'}`}
      role="status"
      data-saving={saving.at}
    >
      {words}
    </span>
  );
}

/** Two people at one bench: nothing is lost in silence, one of them chooses. */
function Overtaken({ onTheirs, onMine }: { onTheirs: () => void; onMine: () => void }) {
  return (
    <div className="flex items-center gap-3 border-b border-rule bg-rust-soft px-4 py-2" role="alert">
      <span>
        <b className="font-semibold text-rust">Someone else saved this lens meanwhile.</b> Your change is not saved yet.
      </span>
      <button type="button" className="button button-small" onClick={onTheirs}>
        Take theirs
      </button>
      <button type="button" className="button button-small" onClick={onMine}>
        Keep mine
      </button>
    </div>
  );
}

function useUndoKeys(undo: () => void, redo: () => void): void {
  const actions = useRef({ undo, redo });
  actions.current = { undo, redo };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      // in a text box the browser's own undo goes first
      if (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox') return;
      event.preventDefault();
      if (event.shiftKey) actions.current.redo();
      else actions.current.undo();
    };
    addEventListener('keydown', press);
    return () => removeEventListener('keydown', press);
  }, []);
}

/** A press in a facet of the live page takes that facet in hand. */
function useFacetClicks(
  frame: RefObject<HTMLIFrameElement | null>,
  ready: boolean,
  onFacet: (key: string) => void,
): void {
  const tell = useRef(onFacet);
  tell.current = onFacet;
  useEffect(() => {
    const page = frame.current?.contentDocument;
    const press = (event: Event) => {
      const key = (event.target as Element).closest('[data-facet]')?.getAttribute('data-facet');
      if (key) tell.current(key);
    };
    page?.addEventListener('click', press);
    return () => page?.removeEventListener('click', press);
  }, [frame, ready]);
}
