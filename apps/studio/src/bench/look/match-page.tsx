import { ApiProblem, type Match } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { Check, Globe, X } from 'lucide-react';
import { useId, useRef, useState, type FormEvent } from 'react';
import { api } from '../../api/api.js';
import { Segments } from '../../shared/segments.js';
import { proposalsOf, type Proposal } from './matches.js';

interface Props {
  lens: Lens;
  onEdit: (lens: Lens) => void;
}

/** Reads a page for its look, and has one take what of it one likes. */
export function MatchPage({ lens, onEdit }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [isOpen, setOpen] = useState(false);
  const title = useId();
  return (
    <>
      <button
        type="button"
        className="pick grid content-center justify-items-center gap-1.5 border-dashed p-3 text-center"
        onClick={() => {
          setOpen(true);
          dialog.current?.showModal();
        }}
      >
        <Globe size={22} strokeWidth={1.5} aria-hidden="true" />
        <span className="font-semibold">Match a page…</span>
        <span className="text-[12.5px] leading-tight">from its address or its CSS</span>
      </button>
      <dialog
        ref={dialog}
        aria-labelledby={title}
        className="m-auto max-h-[86vh] w-[640px] max-w-[94vw] overflow-y-auto rounded-[3px] border border-rule-2 bg-paper p-0 text-ink backdrop:bg-black/40"
        onClose={() => setOpen(false)}
      >
        {isOpen && (
          <>
            <header className="flex items-center gap-3 border-b border-rule bg-ivy-soft px-5 py-3">
              <h2 id={title} className="serif text-[21px] font-semibold">
                Match a page
              </h2>
              <button
                type="button"
                className="icon-button ms-auto"
                aria-label="Close"
                onClick={() => dialog.current?.close()}
              >
                <X size={17} />
              </button>
            </header>
            <Matching lens={lens} onEdit={onEdit} />
          </>
        )}
      </dialog>
    </>
  );
}

function Matching({ lens, onEdit }: Props) {
  const [from, setFrom] = useState<'page' | 'css'>('page');
  const [text, setText] = useState({ page: '', css: '' });
  const [reading, setReading] = useState<AbortController | null>(null);
  const [match, setMatch] = useState<Match | null>(null);
  const [problem, setProblem] = useState('');
  const read = async (event: FormEvent) => {
    event.preventDefault();
    const given = text[from].trim();
    if (given === '') return setProblem(from === 'page' ? 'Give the address of a page.' : 'Paste some rules.');
    const running = new AbortController();
    setReading(running);
    setProblem('');
    try {
      const address = /^[a-z][a-z0-9+.-]*:/i.test(given) ? given : `https://${given}`;
      const body = from === 'page' ? { page: address } : { css: given };
      setMatch(await api.ask('post', '/api/v1/matches', {}, { body, signal: running.signal }));
    } catch (error) {
      if (!running.signal.aborted) {
        setMatch(null);
        setProblem(error instanceof ApiProblem ? error.message : 'There is no connection to the server. Try again.');
      }
    } finally {
      setReading(null);
    }
  };
  return (
    <div className="grid gap-4 px-5 py-4">
      <form className="grid gap-2.5" onSubmit={(event) => void read(event)}>
        <div className="w-[260px]">
          <Segments label="From" value={from} ways={{ page: 'an address', css: 'pasted CSS' }} onPick={setFrom} />
        </div>
        {from === 'page' ? (
          <input
            className="field !h-[34px] w-full"
            type="text"
            inputMode="url"
            aria-label="Address of the page"
            placeholder="https://example.org/news"
            value={text.page}
            maxLength={2000}
            spellCheck={false}
            onChange={(event) => setText({ ...text, page: event.target.value })}
          />
        ) : (
          <textarea
            className="mono h-[120px] w-full rounded-[3px] border border-rule-2 bg-raised p-2 text-[12.5px]"
            aria-label="Rules of the page"
            placeholder="body { color: #222; font-family: Georgia, serif }"
            value={text.css}
            maxLength={500_000}
            spellCheck={false}
            onChange={(event) => setText({ ...text, css: event.target.value })}
          />
        )}
        <div className="flex items-center gap-2.5">
          <button type="submit" className="button button-main" disabled={reading !== null}>
            {reading ? 'Reading…' : 'Read its look'}
          </button>
          {reading && (
            <button type="button" className="button" onClick={() => reading.abort()}>
              Cancel
            </button>
          )}
        </div>
      </form>
      {problem !== '' && (
        <p className="border border-bad bg-bad-soft px-3 py-2" role="alert">
          {problem}
        </p>
      )}
      {match && <Found match={match} lens={lens} onEdit={onEdit} />}
    </div>
  );
}

function Found({ match, lens, onEdit }: { match: Match } & Props) {
  const proposals = proposalsOf(lens, match.found);
  const where = match.page === null ? 'the pasted rules' : match.title || new URL(match.page).host;
  return (
    <section aria-label="What was found" aria-live="polite">
      <div className="mb-1 flex items-baseline justify-between gap-3">
        <h3 className="remark text-[16px]">
          {proposals.length === 0
            ? match.found.length === 0
              ? `Nothing of a look was found in ${where}.`
              : `The listing looks like ${where} already.`
            : `Found in ${where}`}
        </h3>
        {proposals.length > 1 && (
          <button
            type="button"
            className="button button-small"
            onClick={() => onEdit(proposals.reduce((made, { take }) => take(made), lens))}
          >
            Take all {proposals.length}
          </button>
        )}
      </div>
      <ul>
        {proposals.map((one) => (
          <ProposalRow key={one.id} proposal={one} onTake={() => onEdit(one.take(lens))} />
        ))}
      </ul>
      {match.missed.length > 0 && (
        <p className="mt-2 text-[13px] text-ink-2">
          {match.missed.length === 1 ? 'One sheet' : `${match.missed.length} sheets`} of it could not be read:{' '}
          {match.missed[0]!.why}
        </p>
      )}
    </section>
  );
}

function ProposalRow({ proposal, onTake }: { proposal: Proposal; onTake: () => void }) {
  const { label, now, then, isColour, where } = proposal;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_118px_16px_minmax(0,158px)_74px] items-center gap-2 border-t border-rule py-1.5">
      <span className="min-w-0">
        <span className="block">{label}</span>
        <span className="mono block truncate text-[11.5px] text-ink-3" title={where}>
          {where}
        </span>
      </span>
      <Value value={now} isColour={isColour} />
      <span aria-hidden="true" className="text-ink-3">
        →
      </span>
      <Value value={then} isColour={isColour} strong />
      <button type="button" className="button button-small" aria-label={`Take ${label.toLowerCase()}`} onClick={onTake}>
        <Check size={13} aria-hidden="true" /> Take
      </button>
    </li>
  );
}

function Value({ value, isColour, strong = false }: { value: string; isColour: boolean; strong?: boolean }) {
  return (
    <span className={`flex min-w-0 items-center gap-1.5 text-[13px] ${strong ? 'font-semibold' : 'text-ink-2'}`}>
      {isColour && (
        <span
          className="h-[20px] w-[26px] shrink-0 rounded-[3px] border border-rule-2"
          style={{ background: value }}
          aria-hidden="true"
        />
      )}
      <span className={`truncate ${isColour ? 'mono text-[12px]' : ''}`} title={value}>
        {value}
      </span>
    </span>
  );
}
