import type { CheckFinding } from '@ivy/client';
import { useState, type FormEvent } from 'react';
import { askCheck } from '../publish/ask-check.js';

/** Looks at a page the lens stands on for names that it uses itself. */
export function HostNames({ slug, onPrefix }: { slug: string; onPrefix: (prefix: string) => void }) {
  const [page, setPage] = useState('');
  const [busy, setBusy] = useState(false);
  const [found, setFound] = useState<{ finding: CheckFinding | null; problem: string }>({ finding: null, problem: '' });
  const check = async (event: FormEvent) => {
    event.preventDefault();
    const given = page.trim();
    if (given === '') return;
    setBusy(true);
    try {
      const all = await askCheck(slug, given);
      setFound({ finding: all.find(({ code }) => code === 'parameters') ?? null, problem: '' });
    } catch (error) {
      setFound({ finding: null, problem: (error as Error).message });
    } finally {
      setBusy(false);
    }
  };
  const { finding, problem } = found;
  return (
    <form className="mt-2.5 border-t border-rule pt-2.5" onSubmit={(event) => void check(event)}>
      <label className="flex flex-wrap items-center gap-2">
        <span className="remark text-ink-2">names the site uses itself</span>
        <input
          className="field h-[26px] min-w-0 flex-1"
          inputMode="url"
          aria-label="A page it stands on"
          placeholder="https://example.org/news"
          value={page}
          maxLength={2000}
          spellCheck={false}
          onChange={({ target }) => setPage(target.value)}
        />
        <button type="submit" className="button button-small" disabled={busy}>
          {busy ? 'Looking…' : 'Look'}
        </button>
      </label>
      <div aria-live="polite">
        {problem !== '' && <p className="mt-1.5 text-[13px] text-bad">{problem}</p>}
        {finding?.ok && <p className="mt-1.5 text-[13px] text-ivy">{finding.text}</p>}
        {finding && !finding.ok && (
          <p className="mt-1.5 flex flex-wrap items-center gap-2 bg-rust-soft px-2.5 py-1.5 text-[13px] text-rust">
            <b className="font-semibold">{finding.text}</b>
            <span className="text-ink-2">{finding.mend}</span>
            <button type="button" className="button button-small" onClick={() => onPrefix('n-')}>
              <span className="mono">n-</span> before every name
            </button>
          </p>
        )}
      </div>
    </form>
  );
}
