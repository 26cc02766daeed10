import type { LiveView } from '@ivy/client';
import { useState, type FormEvent } from 'react';
import { api, refreshAll } from '../../api/api.js';
import { useCopy } from '../../shared/use-copy.js';
import { Every } from './every.js';
import { HeadersForm, headersOf, type Written } from './headers-form.js';

/**
 * Where a source comes from and how often: changed, or left off so that its posts stay as they are.
 * @param live  null for one of a file, which is to come from an address from now on
 */
export function LiveSettings({ slug, live, onDone }: { slug: string; live: LiveView | null; onDone: () => void }) {
  const [url, setUrl] = useState(live?.url ?? '');
  const [every, setEvery] = useState(live?.every ?? 60);
  const [written, setWritten] = useState<Written>([]);
  const [problem, setProblem] = useState('');
  const [isStopping, setStopping] = useState(false);
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
    const where = live && live.feeds.length > 1 && url === live.url ? { url, feeds: live.feeds } : { url };
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
        {live ? (
          <HowItComes live={live} isChanged={written.length > 0} />
        ) : (
          <p className="text-[13px] text-ink-2">
            Its posts stay as they are until it is looked at. Fields, mends and shaped terms stay, and are used for what
            comes then; a look that would take more than a third of the posts away asks first.
          </p>
        )}
        <HeadersForm written={written} onChange={setWritten} />
      </div>
      {live && <PingWords ping={live.ping} />}
      <p className="flex flex-wrap items-center gap-2 md:col-span-2 lg:col-span-3">
        <button type="submit" className="button button-main button-small" disabled={url.trim() === ''}>
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
          live && (
            <button type="button" className="act ms-auto text-[13px]" onClick={() => setStopping(true)}>
              Stop looking there
            </button>
          )
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

function HowItComes({ live, isChanged }: { live: LiveView; isChanged: boolean }) {
  const { paging, found, headers } = live;
  return (
    <>
      <p className="text-[13px] text-ink-2">It comes {paging}.</p>
      {found.length > 0 && (
        <ul className="remark text-ink-2">
          {found.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      {headers.length > 0 && !isChanged && (
        <p className="text-[13px]">
          Headers it is asked with: <span className="mono">{headers.join(', ')}</span>
        </p>
      )}
    </>
  );
}

/** How the other side says by itself that something is new there. */
function PingWords({ ping: { path, secret } }: { ping: LiveView['ping'] }) {
  const { copied, copy } = useCopy();
  return (
    <div className="grid content-start gap-2 text-[13px]">
      <p>
        <b className="font-semibold">It can say itself that something is new</b>, by a{' '}
        <span className="mono">POST</span> to
      </p>
      <p className="mono text-[12px] break-all">{location.origin + path}</p>
      <p className="text-ink-2">
        with <span className="mono">X-Ivy-Signature: t=…,v1=…</span>: the seconds since 1970, and the HMAC-SHA256 of
        “t.id” by its secret, in hex.
      </p>
      <p>
        <button type="button" className="button button-small" onClick={() => void copy(secret)}>
          {copied ? 'Copied' : 'Copy the secret'}
        </button>
      </p>
    </div>
  );
}
