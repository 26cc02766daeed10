import type { LiveView } from '@ivy/client';
import { RefreshCw } from 'lucide-react';
import { useState } from 'react';
import { api, refreshAll } from '../../api/api.js';
import { countOf, figure } from '../../shared/figures.js';
import { ago } from '../../shared/when.js';
import { Pulse } from './pulse.js';
import { LiveSettings } from './live-settings.js';

/** How it is with a source that comes from an address: when it was looked at, what went wrong, what waits for a person. */
export function LiveLine({ slug, posts, live }: { slug: string; posts: number; live: LiveView }) {
  const [isBusy, setBusy] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const look = async (anyway: boolean) => {
    setBusy(true);
    setProblem('');
    setSaid('');
    let failure = '';
    try {
      const { state, added, changed, removed } = await api.ask(
        'post',
        '/api/v1/sources/{slug}/refresh',
        { slug },
        { body: anyway ? { anyway } : {} },
      );
      const words = [
        added > 0 && `${figure(added)} new`,
        changed > 0 && `${figure(changed)} changed`,
        removed > 0 && `${figure(removed)} gone`,
      ];
      if (state === 'done') setSaid(words.filter(Boolean).join(', ') || 'Nothing new');
      if (state === 'unchanged') setSaid('Nothing new');
    } catch (error) {
      failure = (error as Error).message;
    }
    await refreshAll();
    setBusy(false);
    // what is kept of it says the same, and more
    setProblem(failure);
  };
  const isFetching = isBusy || live.state === 'fetching';
  return (
    <section aria-label="Where it comes from" className="shrink-0 border-b border-rule bg-paper">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1.5 text-[13px]">
        <Pulse state={isFetching ? 'fetching' : live.state} />
        <span className="mono min-w-0 truncate">
          {live.feeds.length > 1 ? countOf(live.feeds.length, 'feed') : live.url}
        </span>
        <span className="text-ink-2" role="status">
          {isFetching
            ? 'being fetched…'
            : said || `looked at ${live.checkedAt ? ago(live.checkedAt) : 'never yet'}${nextWords(live)}`}
        </span>
        <span className="ms-auto flex gap-2">
          <button type="button" className="act text-[13px]" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            Where and how often
          </button>
          <button type="button" className="button button-small" disabled={isFetching} onClick={() => void look(false)}>
            <RefreshCw size={13} aria-hidden="true" /> Look now
          </button>
        </span>
      </div>
      {live.state === 'failing' && !isBusy && (
        <p className="border-t border-rule bg-rust-soft px-4 py-2" role="alert">
          <b className="font-semibold text-rust">
            {live.failures === 1
              ? 'It could not be fetched'
              : `It could not be fetched ${figure(live.failures)} times in a row`}
          </b>
          : {live.problem?.text} The {countOf(posts, 'post')} that came last stay.
        </p>
      )}
      {live.held && !isBusy && (
        <div
          className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t border-rule bg-rust-soft px-4 py-2"
          role="alert"
        >
          <p className="min-w-0 flex-1">
            <b className="font-semibold text-rust">{countOf(live.held.removed, 'post')} would go</b>, of {figure(posts)}
            : too many to let go unseen. {countOf(live.held.total, 'post')} would be left, {figure(live.held.added)} of
            them new. Nothing was changed.
          </p>
          <button type="button" className="button button-small" onClick={() => void look(true)}>
            Let them go
          </button>
        </div>
      )}
      {problem && live.state !== 'failing' && (
        <p className="border-t border-rule px-4 py-2 text-bad" role="alert">
          {problem}
        </p>
      )}
      {isOpen && <LiveSettings slug={slug} live={live} onDone={() => setOpen(false)} />}
    </section>
  );
}

function nextWords({ nextAt, every }: LiveView): string {
  if (every === 0 || nextAt === null) return '; looked at again when you ask';
  return `, again ${Date.parse(nextAt) <= Date.now() ? 'in a moment' : ago(nextAt).replace('just now', 'in a moment')}`;
}
