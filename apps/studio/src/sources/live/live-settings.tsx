import type { LiveView } from '@ivy/client';
import { useState, type FormEvent } from 'react';
import { api, refreshAll } from '../../api/api.js';
import { useCopy } from '../../shared/use-copy.js';
import { Every } from './every.js';
import { HeadersForm, headersOf, type Written } from './headers-form.js';

/** Where a source comes from and how often: changed, or left off so that its posts stay as they are. */
export function LiveSettings({ slug, live, onDone }: { slug: string; live: LiveView; onDone: () => void }) {
  const [url, setUrl] = useState(live.url);
  const [every, setEvery] = useState(live.every);
  const [written, setWritten] = useState<Written>([]);
  const [problem, setProblem] = useState('');
  const [isStopping, setStopping] = useState(false);
  const { copied, copy } = useCopy();
  const ping = `${location.origin}${live.ping.path}`;
  const act = async (work: () => Promise<unknown>) => {
    setProblem('');
    try {
      await work();
      await refreshAll();
      onDone();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const save = (event: FormEvent) => {
    event.preventDefault();
    const headers = written.length > 0 ? { headers: headersOf(written) } : {};
    const where = live.feeds.length > 1 && url === live.url ? { url, feeds: live.feeds } : { url };
    void act(() => api.ask('put', '/api/v1/sources/{slug}/live', { slug }, { body: { ...where, every, ...headers } }));
  };
  return (
    <form
      onSubmit={save}
      className="grid gap-x-8 gap-y-3 border-t border-rule bg-raised px-4 py-3 md:grid-cols-2 lg:grid-cols-3"
    >
      <div className="grid content-start gap-3">
        <label className="block">
          <span className="text-[13px] font-semibold">Address</span>
          <input
            className="field mono mt-1 h-[30px] w-full text-[12.5px]"
            value={url}
            inputMode="url"
            maxLength={2000}
            onChange={({ target }) => setUrl(target.value)}
          />
        </label>
        <Every value={every} onChange={setEvery} />
      </div>
      <div className="grid content-start gap-2">
        <p className="text-[13px] text-ink-2">It comes {live.paging}.</p>
        {live.found.length > 0 && (
          <ul className="remark text-ink-2">
            {live.found.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        )}
        {live.headers.length > 0 && written.length === 0 && (
          <p className="text-[13px]">
            Headers it is asked with: <span className="mono">{live.headers.join(', ')}</span>
          </p>
        )}
        <HeadersForm written={written} onChange={setWritten} />
      </div>
      <div className="grid content-start gap-2 text-[13px]">
        <p>
          <b className="font-semibold">It can say itself that something is new</b>, by a{' '}
          <span className="mono">POST</span> to
        </p>
        <p className="mono text-[12px] break-all">{ping}</p>
        <p className="text-ink-2">
          with <span className="mono">X-Ivy-Signature: t=…,v1=…</span>: the seconds since 1970, and the HMAC-SHA256 of
          “t.id” by its secret, in hex.
        </p>
        <p>
          <button type="button" className="button button-small" onClick={() => void copy(live.ping.secret)}>
            {copied ? 'Copied' : 'Copy the secret'}
          </button>
        </p>
      </div>
      <p className="flex flex-wrap items-center gap-2 md:col-span-2 lg:col-span-3">
        <button type="submit" className="button button-main button-small">
          Keep
        </button>
        <button type="button" className="button button-small" onClick={onDone}>
          Leave it
        </button>
        {isStopping ? (
          <span className="ms-auto flex flex-wrap items-center gap-2">
            Its posts stay as they are now, and nothing new comes.
            <button
              type="button"
              className="button button-small"
              onClick={() => void act(() => api.ask('delete', '/api/v1/sources/{slug}/live', { slug }))}
            >
              Stop looking
            </button>
          </span>
        ) : (
          <button type="button" className="act ms-auto text-[13px]" onClick={() => setStopping(true)}>
            Stop looking there
          </button>
        )}
      </p>
      {problem && (
        <p className="text-bad md:col-span-2 lg:col-span-3" role="alert">
          {problem}
        </p>
      )}
    </form>
  );
}
