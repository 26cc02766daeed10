import { ChevronRight, TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { useApi } from '../api/api.js';
import type { LensSummary, SourceSummary } from '@ivy/client';
import { AppBar } from '../app/app-bar.js';
import { countOf, figure } from '../shared/figures.js';
import { Failed, Loading } from '../shared/states.js';
import { ago } from '../shared/when.js';
import { BottomDrawer } from './acts/bottom-drawer.js';
import { goesWith, goesWithLens } from './acts/goes-with.js';
import { ThingActs } from './acts/thing-acts.js';
import { Cabinet } from './cabinet/cabinet.js';
import { AddressEntry } from './look/address-entry.js';
import { Pulse } from './live/pulse.js';
import { DropZone } from './drop-zone.js';
import { FirstVisit } from './first/first-visit.js';

/** All sources, and the lenses on each. */
export function SourcesPage() {
  const sources = useApi('/api/v1/sources', {});
  const lenses = useApi('/api/v1/lenses', {});
  const error: unknown = sources.error ?? lenses.error;
  const retry = () => void Promise.all([sources.mutate(), lenses.mutate()]);
  const isFirst = sources.data?.length === 0;
  return (
    <div className="flex min-h-full flex-col bg-paper">
      <AppBar crumbs={[{ label: 'Sources' }]} />
      {isFirst ? (
        <FirstVisit />
      ) : (
        <main
          className={`mx-auto w-full px-6 py-7 ${(sources.data?.length ?? 0) > listedInFull ? 'max-w-[1320px]' : 'max-w-[1120px]'}`}
        >
          <DropZone sources={sources.data ?? []} />
          <AddressEntry />
          {error ? (
            <Failed error={error} retry={retry} />
          ) : !sources.data || !lenses.data ? (
            <Loading words="Fetching the sources" />
          ) : (
            <SourceList sources={sources.data} lenses={lenses.data} />
          )}
          <BottomDrawer />
        </main>
      )}
    </div>
  );
}

/** Sources that are listed in full: more stand in a cabinet. */
const listedInFull = 6;

function SourceList({ sources, lenses }: { sources: SourceSummary[]; lenses: LensSummary[] }) {
  if (sources.length > listedInFull) {
    const drawers = sources.map((source) => ({ source, lenses: lenses.filter((lens) => lens.source === source.slug) }));
    return <Cabinet drawers={drawers} />;
  }
  return (
    <>
      <div className="mt-9 mb-3 flex items-baseline gap-3">
        <h2 className="serif text-[23px] font-semibold">{countOf(sources.length, 'source')}</h2>
        <span className="remark text-[15px] text-ink-2">and {countOf(lenses.length, 'lens', 'lenses')} on them</span>
      </div>
      <ul className="border-t border-rule">
        {sources.map((source) => (
          <SourceRow key={source.slug} source={source} lenses={lenses.filter((lens) => lens.source === source.slug)} />
        ))}
      </ul>
    </>
  );
}

function SourceRow({ source, lenses }: { source: SourceSummary; lenses: LensSummary[] }) {
  return (
    <li className="grid gap-x-8 gap-y-2 border-b sm:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] border-rule py-5">
      <div>
        <Link to={`/sources/${source.slug}`} className="serif text-[19px] font-semibold text-ink hover:text-ivy">
          {source.name}
        </Link>
        <p className="mt-1 flex flex-wrap items-baseline gap-x-4 text-ink-2">
          <span>
            <b className="serif text-[17px] font-semibold text-ink">{figure(source.posts)}</b> posts
          </span>
          <span>
            <b className="serif text-[17px] font-semibold text-ink">{source.fieldCount}</b> fields
          </span>
          {source.findingCount > 0 && (
            <span className="inline-flex items-center gap-1.5 self-center text-rust">
              <TriangleAlert size={13} /> {countOf(source.findingCount, 'finding')}
            </span>
          )}
        </p>
        <p className="mt-1 text-[12.5px] text-ink-3">
          <span className="mono">{source.fileName}</span>, {source.live ? 'changed' : 'brought in'}{' '}
          {ago(source.updatedAt)}
          {source.live && (
            <span className="ms-2">
              <Pulse state={source.live} />
            </span>
          )}
        </p>
        <div className="mt-1.5">
          <ThingActs kind="source" slug={source.slug} name={source.name} goes={goesWith(source, lenses)}>
            {!source.live && (
              <Link to={`/sources/${source.slug}/replace`} className="act">
                Replace posts<span className="sr-only"> of {source.name}</span>
              </Link>
            )}
          </ThingActs>
        </div>
      </div>
      <div>
        {lenses.length === 0 ? (
          <p className="remark pt-1 text-[15px] text-ink-2">
            No lens on it yet.{' '}
            <Link to={`/sources/${source.slug}`} className="link font-sans text-[14px] not-italic">
              Start one
            </Link>
          </p>
        ) : (
          <ul>
            {lenses.map((lens) => (
              <li key={lens.slug}>
                <Link
                  to={`/lenses/${lens.slug}`}
                  className="group flex items-center gap-3 rounded-[3px] px-3 py-2 text-ink hover:bg-raised"
                >
                  <span className="font-semibold">{lens.name}</span>
                  <span className="leader" aria-hidden="true" />
                  <ReleaseTag lens={lens} />
                  <ChevronRight size={15} className="text-ink-3 group-hover:text-ivy" />
                </Link>
                <div className="px-3 pb-1">
                  <ThingActs kind="lens" slug={lens.slug} name={lens.name} goes={goesWithLens(lens)} />
                </div>
              </li>
            ))}
          </ul>
        )}
      </div>
    </li>
  );
}

function ReleaseTag({ lens }: { lens: LensSummary }) {
  if (lens.release === null)
    return (
      <span className="rounded-[3px] bg-rust-soft px-1.5 text-[12.5px] font-semibold text-rust">not released</span>
    );
  return (
    <span className="text-[13px] text-ink-2">
      release {lens.release}
      {lens.changed && <span className="text-rust">, draft differs</span>}
    </span>
  );
}
