import { useState, type FormEvent, type ReactNode } from 'react';

interface Props {
  label: string;
  /** What stands before the box. */
  lead?: ReactNode;
  act: string;
  isSmall?: boolean;
  /** Looks at a page. What it throws is said by its words. */
  onLook: (page: string) => Promise<void>;
}

/** A box for the address of a page that is to be looked at, and what went wrong with that. */
export function PageForm({ label, lead, act, isSmall = false, onLook }: Props) {
  const [page, setPage] = useState('');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (page.trim() === '') return setProblem('Give the address of a page.');
    setBusy(true);
    setProblem('');
    try {
      await onLook(page.trim());
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <form className="mt-2 flex flex-wrap items-center gap-2" onSubmit={(event) => void submit(event)}>
        {lead}
        <input
          className={`field min-w-0 flex-1 ${isSmall ? 'h-[26px]' : '!h-[30px]'}`}
          inputMode="url"
          aria-label={label}
          placeholder="https://example.org/news"
          value={page}
          maxLength={2000}
          spellCheck={false}
          onChange={({ target }) => setPage(target.value)}
        />
        <button type="submit" className={`button ${isSmall ? 'button-small' : ''}`} disabled={busy}>
          {busy ? 'Looking…' : act}
        </button>
      </form>
      <div aria-live="polite">
        {problem !== '' && <p className="mt-2 bg-bad-soft px-2.5 py-1.5 text-bad">{problem}</p>}
      </div>
    </>
  );
}
