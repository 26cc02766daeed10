import type { RunView } from '@ivy/client';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { refreshAll, useApi } from '../../api/api.js';
import { AppBar } from '../../app/app-bar.js';
import { countOf, figure } from '../../shared/figures.js';
import { Failed, Loading } from '../../shared/states.js';
import { ago } from '../../shared/when.js';
import { changeWords, Rings } from './rings.js';
import { undoRun } from './send-posts.js';

const hows: Record<RunView['how'], string> = {
  file: 'a file',
  live: 'fetched',
  posts: 'some posts, by a program',
  removal: 'posts taken away',
  undo: 'a run undone',
};

/** What a source has been through: each run with what it changed, the newest undone by a press. */
export function RunsPage() {
  const { slug = '' } = useParams();
  const { data: source } = useApi('/api/v1/sources/{slug}', { slug });
  const { data: runs, error, mutate: again } = useApi('/api/v1/sources/{slug}/runs', { slug });
  const [problem, setProblem] = useState('');
  const [isBusy, setBusy] = useState(false);
  const undo = async (id: number) => {
    setBusy(true);
    setProblem('');
    try {
      await undoRun(slug, id);
      await refreshAll();
    } catch (failure) {
      setProblem((failure as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="flex h-full flex-col">
      <AppBar
        crumbs={[
          { label: 'Sources', to: '/sources' },
          { label: source?.name ?? slug, to: `/sources/${slug}` },
          { label: 'History' },
        ]}
      />
      {error ? (
        <Failed error={error} retry={() => void again()} />
      ) : !runs ? (
        <Loading words="Counting the rings" />
      ) : (
        <div className="flex min-h-0 flex-1 flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
          <Rings runs={runs} coming={null} />
          <main className="min-w-0 flex-1 bg-raised px-5 py-4 lg:overflow-y-auto">
            <p className="flex flex-wrap items-baseline gap-3">
              <span className="serif text-[23px] font-semibold">{countOf(runs.length, 'run')}</span>
              <span className="remark text-[15px] text-ink-2">
                Each says what it changed. The newest can be undone.
              </span>
              {!source?.live && (
                <Link to={`/sources/${slug}/replace`} className="button ms-auto">
                  Replace posts
                </Link>
              )}
            </p>
            {problem && (
              <p className="mt-2 text-bad" role="alert">
                {problem}
              </p>
            )}
            <ol className="mt-3 border-t border-rule">
              {runs.map((run) => (
                <Run key={run.id} run={run} isBusy={isBusy} onUndo={() => void undo(run.id)} />
              ))}
            </ol>
          </main>
        </div>
      )}
    </div>
  );
}

function Run({ run, isBusy, onUndo }: { run: RunView; isBusy: boolean; onUndo: () => void }) {
  const { how, fileName, at, posts, rejected, state, reason, undoable } = run;
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule py-3">
      <span className={`min-w-0 flex-1 ${state === 'undone' ? 'text-ink-3' : ''}`}>
        <b className="font-semibold">{fileName || hows[how]}</b>{' '}
        <span className="text-ink-2">
          {fileName && hows[how]}, {ago(at)}
        </span>
        {state === 'undone' && <span className="ms-2 text-rust">undone</span>}
        {reason !== null && (
          <span className="block text-[13px] text-rust">
            <b className="font-semibold">{state === 'held' ? 'Waits for you' : 'Failed'}:</b> {reason}
          </span>
        )}
        {rejected.length > 0 && (
          <span className="block text-[13px] text-rust">
            {countOf(rejected.length, 'record')} left out.{' '}
            <a className="link" download={`left-out-${run.id}.csv`} href={rejectsHref(run)}>
              Download them
            </a>
          </span>
        )}
      </span>
      <span className="serif text-[15px]">{reason === null ? changeWords(run) : 'nothing changed'}</span>
      <span className="w-24 text-end text-ink-2">{figure(posts)} posts</span>
      <span className="w-16 text-end">
        {undoable && (
          <button type="button" className="button button-small" disabled={isBusy} onClick={onUndo}>
            Undo
          </button>
        )}
      </span>
    </li>
  );
}

/** The records that were left out as a table, for whoever mends the file. */
function rejectsHref({ rejected }: RunView): string {
  const rows = rejected.map(
    ({ record, line = '', reason }) => `${record || ''},${line},"${reason.replaceAll('"', '""')}"`,
  );
  return `data:text/csv;charset=utf-8,${encodeURIComponent(['record,line,reason', ...rows].join('\n'))}`;
}
