import type { LensView, SourceView } from '@ivy/client';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { keepIn, keepNew, type Mapped } from './keep.js';

interface KeepingProps {
  lens: LensView | null;
  source: SourceView | null;
  mapped: Mapped;
  isKept: boolean;
  title: string;
  onKept: (view: LensView) => void;
}

/** Whether what is marked is kept, and the press that keeps it. */
export function Keeping({ lens, source, mapped, isKept, title, onKept }: KeepingProps) {
  const navigate = useNavigate();
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const keep = async () => {
    setBusy(true);
    setProblem('');
    try {
      const name = (title.split(/[|·–—]/)[0]!.trim() || 'A page').slice(0, 120);
      const view = lens && source ? await keepIn(lens, source, mapped) : await keepNew(name, mapped);
      onKept(view);
      if (!lens) await navigate(`/lenses/${view.slug}/page`);
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const canKeep = mapped.reading.items.length > 0 && mapped.reading.fields.length > 0;
  return (
    <>
      <span
        className={`max-w-[120px] truncate sm:max-w-[420px] text-[13px] ${problem ? 'font-semibold text-bad' : 'text-rust'}`}
        role="status"
        title={problem}
      >
        {problem || (isKept ? '' : lens ? 'not kept yet' : 'nothing kept yet')}
      </span>
      {isKept && lens && (
        <Link to={`/lenses/${lens.slug}/publish`} className="button order-last">
          Publish
        </Link>
      )}
      <button
        type="button"
        className="button button-main order-last"
        disabled={isBusy || isKept || !canKeep}
        onClick={() => void keep()}
      >
        {isKept ? 'Kept' : 'Keep the mapping'}
      </button>
    </>
  );
}
