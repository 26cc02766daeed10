import { ApiProblem, type LensView, type SourceView } from '@ivy/client';
import { bestLanguage, lensIn, type Lens, type SpanName } from '@ivy/core';
import { schemesOf, spanAt } from '@ivy/view';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { useKeys } from '../keys/use-keys.js';
import { useMedia } from '../shared/use-media.js';
import { useUndoKeys } from '../shared/use-undo-keys.js';
import { useDryRuns } from '../dry-run/use-dry-runs.js';
import { AddressStrip } from './strip/address-strip.js';
import { useSaid } from './strip/use-said.js';
import { useAddress } from './use-address.js';
import { useBench } from './use-bench.js';
import { useBenchItems } from './use-bench-items.js';
import { BenchBar } from './bench-bar.js';
import { useFacetClicks } from './bench-keys.js';
import { cardWidthAt } from './card/strain.js';
import { Specimens } from './card/specimens.js';
import { useCardClicks } from './card/use-card-clicks.js';
import type { ResultsTab } from './results/results-wiring.js';
import { Desk, type DeskState } from './desk.js';
import { Drawer } from './drawer/drawer.js';
import { labelIn } from './drawer/parts.js';
import { useWhyOnPage } from './drawer/use-why-on-page.js';
import { useDrawer } from './drawer/use-drawer.js';
import { useDrawerKeys } from './drawer/use-drawer-keys.js';
import { useFindings } from './drawer/use-findings.js';
import { useRequests } from './drawer/use-requests.js';
import { GhostingContext } from './ghost/ghosting.js';
import { useGhost } from './ghost/use-ghost.js';
import { useGhostPage } from './ghost/use-ghost-page.js';
import { changeFacet, huesOf } from './edits.js';
import { Remarks } from './first/remarks.js';
import { Hand } from './hand.js';
import { changeLook, moveFlag } from './look/edits.js';
import { useFrameScheme } from './look/use-frame-scheme.js';
import { OutlineOfLens } from './outline-of-lens.js';
import { LensPlace } from './lens-place.js';
import { Overtaking } from './overtaking.js';
import { Thread } from './thread.js';
import { usePreview } from './use-preview.js';
import { useSaving } from './use-saving.js';

/** How high, in CSS pixels, a window is that has room for the page, the specimens and the drawer. */
const roomForBoth = 860;

/** Where a lens is made: the live page in the middle, its address above, its parts beside it. */
export function BenchPage() {
  return (
    <LensPlace words="Setting up the bench" waits>
      {(lens, source) => <Bench key={lens.slug} loaded={lens} source={source} />}
    </LensPlace>
  );
}

function Bench({ loaded, source }: { loaded: LensView; source: SourceView }) {
  const { slug } = loaded;
  const navigate = useNavigate();
  const { address, go } = useAddress();
  const { state, dispatch, undo, redo, rewrite } = useBench(loaded.draft, address, go);
  const { lens, focus } = state;
  const frame = useRef<HTMLIFrameElement>(null);
  const stage = useRef<HTMLDivElement>(null);
  const [layout, setLayout] = useState(0);
  const relayout = useCallback(() => setLayout((n) => n + 1), []);
  const [pageState, setPageState] = useState<DeskState>('live');
  const { saves, onSaved } = useSaves();
  const { saving, saver } = useSaving(slug, lens, loaded, onSaved);
  const dryRuns = useDryRuns(loaded, source);
  const shown = pageState === 'plain' ? 'live' : pageState;
  const [reads, setReads] = useState(lens.language);
  const language = bestLanguage(lens, [reads]);
  const { width, setWidth, span, setSpan } = useWidths(lens.look);
  const [isDark, setDark] = useState(false);
  // a page that can be seen both ways is shown the way one asks for, whatever this machine's own is
  const scheme = schemesOf(lens.look).length === 1 ? lens.look.scheme : isDark ? 'dark' : 'light';
  const spoken = useMemo(() => changeLook(lensIn(lens, language), { scheme }), [lens, language, scheme]);
  const { dryRun, asked, problem, retry } = usePreview(dryRuns, slug, spoken, address, frame, shown, rewrite);
  const said = useSaid(dryRuns, lens, address, dryRun, asked);
  const hues = huesOf(lens.facets);
  const facet = lens.facets.find((one) => one.key === focus);
  const refused = saving.at === 'refused' ? saving.problem : problem instanceof ApiProblem ? problem : null;
  const onFocus = (key: string | null) => dispatch({ type: 'focus', key });

  const [tab, setTab] = useState<ResultsTab>('card');
  const [part, setPart] = useState<number | null>(null);
  const [isHandOpen, setHandOpen] = useState(false);
  const hasThread = useMedia('(min-width: 860px)');
  const drawer = useDrawer();
  useDrawerKeys(drawer.onTab);
  const { ghost, point } = useGhost(dryRuns, spoken, address);
  useGhostPage(frame, dryRun, ghost, hueOnPage, point);
  useWhyOnPage({
    ...{ frame, dryRuns, address, isReady: dryRun !== null },
    lens: spoken,
    labelOf: (key) => labelIn(lens, source, key),
    hueOf: hueOnPage,
    onPress: (id) => drawer.tab === 'why' && drawer.onFind(id),
  });
  const requests = useRequests(slug, address, saves, frame);
  const findings = useFindings(dryRuns, slug, lens, saves);
  useFrameScheme(frame, dryRun !== null, spoken.look);
  const isCardInHand = focus === null && tab === 'card';
  useFacetClicks(frame, dryRun !== null, onFocus);
  useCardClicks(frame, dryRun !== null, isCardInHand ? part : null, (at) => {
    onFocus(null);
    setTab('card');
    setPart(at);
  });
  useUndoKeys(undo, redo);
  const publish = async () => {
    if (await saver.flush()) await navigate(`/lenses/${slug}/publish`);
  };
  useBenchItems({
    ...{ slug, lens, source, dryRun, dryRuns, address, hues, drawer, dispatch, go, point, undo, redo },
    publish: () => void publish(),
  });
  useKeys(['bench'], {
    hide: () => facet && dispatch({ type: 'edit', lens: changeFacet(lens, facet.key, { visible: !facet.visible }) }),
  });
  const parts = { lens, source, dryRun, hues, problem: refused, dispatch };
  return (
    <GhostingContext value={point}>
      <div className="flex h-full flex-col">
        <BenchBar {...{ loaded, source, state, saving, undo, redo }} onPublish={() => void publish()} />
        <AddressStrip
          {...{ slug, lens, hues, focus, onFocus, ...said }}
          answer={dryRun?.answer}
          would={ghost?.dryRun.answer.matched}
          onGo={go}
        />
        <Overtaking {...{ slug, saving, saver, dispatch }} />
        {problem && !(problem instanceof ApiProblem && problem.status === 422) && (
          <NoAnswer words={problem.message} retry={retry} />
        )}
        <div ref={stage} className="relative flex min-h-0 flex-1">
          <div className="flex min-w-0 flex-1 flex-col">
            <div className="flex min-h-0 flex-1 max-sm:flex-col">
              <OutlineOfLens
                {...parts}
                focus={focus}
                onHand={() => setHandOpen(true)}
                remarks={
                  loaded.release === null && (
                    <Remarks
                      slug={slug}
                      done={{
                        chosen: address !== '',
                        changed: lens !== loaded.draft,
                        released: loaded.release !== null,
                      }}
                    />
                  )
                }
              />
              <Desk
                {...{ slug, lens, frame, address, saves, language, width, isDark }}
                onWidth={setWidth}
                onFlag={(flag, at) => dispatch({ type: 'edit', lens: moveFlag(lens, flag, at), topic: flag })}
                onDark={setDark}
                name={loaded.name}
                state={pageState}
                onGo={go}
                onState={setPageState}
                onLayout={relayout}
                below={
                  isCardInHand && (
                    <Specimens
                      {...{ slug, dryRun }}
                      name={loaded.name}
                      look={spoken.look}
                      cardWidth={cardWidthAt(spoken.look, width)}
                      startsOpen={drawer.tab === null || innerHeight >= roomForBoth}
                    />
                  )
                }
              />
            </div>
            <Drawer
              {...{ lens, source, address, dryRun, dryRuns, ghost, hues, requests, findings, onFocus }}
              state={drawer}
              onGo={go}
              onEdit={(next) => dispatch({ type: 'edit', lens: next })}
              onPlace={(place) => {
                if ('facet' in place) return onFocus(place.facet);
                if ('address' in place) return go(place.address);
                onFocus(null);
                setTab(place.results);
              }}
            />
          </div>
          {facet && hasThread && pageState !== 'plain' && (
            <Thread
              {...{ stage, frame, layout }}
              focus={facet.key}
              hue={hues.get(facet.key)!}
              dryRun={dryRun}
              rows={lens.facets.length}
            />
          )}
          <Hand
            {...parts}
            slug={slug}
            facet={facet}
            isOpen={isHandOpen}
            onOpen={setHandOpen}
            reads={language}
            onReads={setReads}
            results={{ tab, onTab: setTab, part, onPart: setPart, span, onSpan: setSpan }}
          />
        </div>
      </div>
    </GhostingContext>
  );
}

/** The hue of a facet as a colour, for the live page, which has none of the studio's. */
function hueOnPage(facet: string | null): string {
  const row = facet === null ? null : document.querySelector(`[data-outline="${CSS.escape(facet)}"]`);
  return getComputedStyle(row ?? document.documentElement).getPropertyValue('--h');
}

/** How wide the live page is, and which widths what one sets is for: as one turns to a span, the page is shown in it. */
function useWidths(look: Lens['look']) {
  const [width, setWidth] = useState(() => (innerWidth < 700 ? 390 : 834));
  const [span, chooseSpan] = useState<SpanName>('desktop');
  const setSpan = (next: SpanName) => {
    chooseSpan(next);
    if (next === 'desktop' || spanAt(look, width) === next) return;
    setWidth(
      next === 'phone' ? Math.min(390, look.tabletFrom - 1) : Math.round((look.tabletFrom + look.desktopFrom) / 2),
    );
  };
  return { width, setWidth, span, setSpan };
}

/** How often the draft was saved; each time, lists of lenses are out of date. */
function useSaves(): { saves: number; onSaved: () => void } {
  const { mutate } = useSWRConfig();
  const [saves, setSaves] = useState(0);
  const onSaved = useCallback(() => {
    setSaves((n) => n + 1);
    void mutate('/api/v1/lenses', undefined, { revalidate: true });
  }, [mutate]);
  return { saves, onSaved };
}

function NoAnswer({ words, retry }: { words: string; retry: () => void }) {
  return (
    <p className="flex items-center gap-3 border-b border-rule bg-bad-soft px-4 py-2" role="alert">
      {words}
      <button type="button" className="button button-small" onClick={retry}>
        Try again
      </button>
    </p>
  );
}
