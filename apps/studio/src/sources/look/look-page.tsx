import type { LookView } from '@ivy/client';
import { Globe, FileText } from 'lucide-react';
import { useMemo, useState, type FormEvent } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { refreshAll } from '../../api/api.js';
import { AppBar } from '../../app/app-bar.js';
import { bringIn, bringInLive, type IntakeStage } from '../bring-in.js';
import { IntakeProgress } from '../intake-progress.js';
import { Every } from '../live/every.js';
import { HeadersForm, headersOf, type Written } from '../live/headers-form.js';
import { FeedsList } from './feeds-list.js';
import { FirstRows } from './first-rows.js';
import { heldFiles } from './given.js';
import { ReadWith } from './read-with.js';
import { useLook, type Given, type LookState, type ReadSettings } from './use-look.js';

/** What files or an address hold, before anything of it is kept: said otherwise where it is read wrong, and then kept. */
export function LookPage() {
  const [said] = useSearchParams();
  const address = said.get('address') ?? '';
  const files = heldFiles();
  return (
    <div className="flex h-full flex-col">
      <AppBar crumbs={[{ label: 'Sources', to: '/sources' }, { label: address === '' ? 'A file' : 'An address' }]} />
      {address === '' && files.length === 0 ? (
        <p className="remark p-8 text-[16px] text-ink-2">
          The file is not here any more.{' '}
          <Link to="/sources" className="link font-sans text-[14px] not-italic">
            Choose it again
          </Link>
        </p>
      ) : (
        <Look key={address} address={address} files={files} />
      )}
    </div>
  );
}

function Look({ address, files }: { address: string; files: readonly File[] }) {
  const [settings, setSettings] = useState<ReadSettings>({ options: {} });
  const [written, setWritten] = useState<Written>([]);
  const [headers, setHeaders] = useState<Record<string, string>>({});
  const given = useMemo<Given>(
    () => (address === '' ? { kind: 'files', files } : { kind: 'address', url: address, headers }),
    [address, files, headers],
  );
  const state = useLook(given, settings);
  const look = state.at === 'there' ? state.look : state.before;
  const name = address === '' ? nameOfFiles(files) : hostOf(address);
  return (
    <>
      <section
        aria-label="How it is read"
        className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule bg-raised px-4 py-1"
      >
        {address === '' ? (
          <FileText size={16} className="shrink-0 text-ink-3" aria-hidden="true" />
        ) : (
          <Globe size={16} className="shrink-0 text-ink-3" aria-hidden="true" />
        )}
        <span className="mono min-w-0 truncate text-[13px] font-semibold">{address || name}</span>
        {look && look.feeds.length === 0 && <ReadWith look={look} settings={settings} onChange={setSettings} />}
        <span className="ms-auto" role="status">
          {state.at === 'looking' && <span className="remark text-ink-2">Looking…</span>}
        </span>
      </section>
      <Desk
        address={address}
        files={files}
        name={name}
        state={state}
        look={look}
        settings={settings}
        written={written}
        onWritten={setWritten}
        onHeaders={() => setHeaders(headersOf(written))}
      />
    </>
  );
}

interface DeskProps {
  address: string;
  files: readonly File[];
  name: string;
  state: LookState;
  look: LookView | null;
  settings: ReadSettings;
  written: Written;
  onWritten: (written: Written) => void;
  onHeaders: () => void;
}

function Desk({ address, files, name: found, state, look, settings, written, onWritten, onHeaders }: DeskProps) {
  const navigate = useNavigate();
  const [name, setName] = useState(found);
  const [every, setEvery] = useState(60);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState('');
  const [going, setGoing] = useState<{ stage: IntakeStage; stop: AbortController } | null>(null);
  const isLive = address !== '' || (look?.feeds.length ?? 0) > 0;
  const keep = async (event: FormEvent) => {
    event.preventDefault();
    const stop = new AbortController();
    const report = (stage: IntakeStage) => setGoing({ stage, stop });
    setProblem('');
    report({ at: 'sending' });
    try {
      const { format, options } = settings;
      const reading = { options, ...(format && { format }) };
      const feeds = look?.feeds.filter((feed) => !left.has(feed.address)) ?? [];
      const source = isLive
        ? await bringInLive(
            {
              ...{
                name: name.trim(),
                url: address || feeds[0]!.address,
                every,
                headers: headersOf(written),
                ...reading,
              },
              ...(feeds.length > 0 && { feeds: feeds.map((feed) => ({ address: feed.address, name: feed.name })) }),
            },
            stop.signal,
            report,
          )
        : await bringIn(files, stop.signal, report, { name: name.trim(), ...reading });
      await refreshAll();
      await navigate(`/sources/${source.slug}`);
    } catch (error) {
      if (!stop.signal.aborted) setProblem((error as Error).message);
      setGoing(null);
    }
  };
  const hasFeeds = (look?.feeds.length ?? 0) > 0;
  const nothing = hasFeeds ? look!.feeds.every((feed) => left.has(feed.address)) : state.at !== 'there';
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <main className="squared min-w-0 flex-1 px-4 pt-4 pb-8 lg:overflow-y-auto">
        {state.at === 'failed' && (
          <div className="mb-4 max-w-2xl border-s-4 border-bad bg-bad-soft px-4 py-3" role="alert">
            <p className="serif text-[17px] font-semibold text-bad">It can’t be read like this</p>
            <p className="mt-1">{state.words}</p>
          </div>
        )}
        {state.at === 'looking' && !look && (
          <p className="remark p-4 text-[16px] text-ink-2">{address === '' ? 'Reading the file' : 'Asking there'}…</p>
        )}
        {look &&
          (hasFeeds ? (
            <FeedsList feeds={look.feeds} left={left} onLeft={setLeft} />
          ) : (
            <FirstRows look={look} isOld={state.at !== 'there'} />
          ))}
      </main>
      <aside
        aria-label="What is kept"
        className="flex shrink-0 flex-col border-t border-rule bg-paper lg:w-[340px] lg:border-s lg:border-t-0"
      >
        <form className="flex min-h-0 flex-1 flex-col" onSubmit={(event) => void keep(event)}>
          <div className="min-h-0 flex-1 lg:overflow-y-auto">
            <div className="section">
              <label className="block">
                <span className="text-[13px] font-semibold">Name of the source</span>
                <input
                  className="field mt-1 h-[30px] w-full"
                  value={name}
                  maxLength={120}
                  onChange={({ target }) => setName(target.value)}
                />
              </label>
            </div>
            {isLive && (
              <>
                {look && !hasFeeds && (
                  <div className="section">
                    <p className="mb-2">
                      It comes <b className="font-semibold">{look.paging}</b>.
                    </p>
                    {look.found.map((words) => (
                      <p key={words} className="remark mb-1 text-ink-2">
                        {words}
                      </p>
                    ))}
                    {look.paging?.startsWith('page by page') && (
                      <p className="text-[13px] text-ink-2">Two pages were looked at; all come once it is kept.</p>
                    )}
                  </div>
                )}
                <div className="section">
                  <Every value={every} onChange={setEvery} />
                </div>
                <div className="section">
                  <HeadersForm written={written} onChange={onWritten} />
                  {written.length > 0 && (
                    <button type="button" className="button button-small mt-2" onClick={onHeaders}>
                      Ask again with them
                    </button>
                  )}
                </div>
              </>
            )}
            {look?.format === 'html' && (
              <p className="section text-ink-2">
                It is a page. Its list is read by what is marked on it, or by what repeats.{' '}
                <Link className="link" to={`/from-page${address === '' ? '' : `?page=${encodeURIComponent(address)}`}`}>
                  Press its parts yourself
                </Link>{' '}
                if a field is missing or called wrong.
              </p>
            )}
          </div>
          <div className="border-t border-rule bg-raised p-3.5">
            {going ? (
              <div aria-live="polite">
                <IntakeProgress file={found} stage={going.stage} />
                <button type="button" className="button mt-1" onClick={() => going.stop.abort()}>
                  Cancel
                </button>
              </div>
            ) : (
              <p className="flex flex-wrap gap-2">
                <button type="submit" className="button button-main flex-1" disabled={nothing || name.trim() === ''}>
                  {isLive ? 'Keep it fresh' : 'Bring it in'}
                </button>
                <Link to="/sources" className="button">
                  Leave it
                </Link>
              </p>
            )}
            {problem && (
              <p className="mt-2 text-bad" role="alert">
                {problem} Nothing was kept.
              </p>
            )}
          </div>
        </form>
      </aside>
    </div>
  );
}

function nameOfFiles(files: readonly File[]): string {
  const bare = (files[0]?.name ?? '')
    .replace(/\.[a-z0-9]+$/i, '')
    .replace(/[_-]+/g, ' ')
    .trim();
  const name = bare === '' ? 'Posts' : bare[0]!.toUpperCase() + bare.slice(1, 100);
  return files.length < 2 ? name : `${name} and ${files.length - 1} more`;
}

function hostOf(address: string): string {
  return URL.canParse(address) ? new URL(address).host.replace(/^www\./, '') : address.slice(0, 60);
}
