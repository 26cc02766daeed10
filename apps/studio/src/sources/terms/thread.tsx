import type { TermChangeView } from '@ivy/client';
import { Redo2, Undo2 } from 'lucide-react';

interface Props {
  /** The newest first. */
  changes: readonly TermChangeView[];
  isBusy: boolean;
  onStep: (way: 'undo' | 'redo') => void;
}

/** Changes shown before one asks for more. */
const shown = 30;

/** What was done to the terms, as stitches on a thread: the newest is undone, the one before it then. */
export function Thread({ changes, isBusy, onStep }: Props) {
  const next = changes.find(({ undone }) => !undone);
  const again = [...changes].reverse().find(({ undone }) => undone);
  return (
    <section className="section">
      <h3 className="flex items-baseline justify-between gap-2">
        <span className="remark text-[16px]">Done to these terms</span>
        <span className="text-[13px] text-ink-2">the newest is undone first</span>
      </h3>
      {changes.length === 0 && <p className="remark text-ink-3">Nothing yet: they are as they came.</p>}
      <ol className="mt-1 ms-1 border-s border-rule-2 ps-3">
        {changes.slice(0, shown).map(({ id, text, undone }) => (
          <li key={id} className="relative flex min-h-[26px] items-center gap-2">
            <span
              className={`absolute -start-[17px] h-[3px] w-[9px] -rotate-45 rounded-full ${undone ? 'bg-rule-2' : 'bg-hue'}`}
              aria-hidden="true"
            />
            <span className={`min-w-0 flex-1 ${undone ? 'text-ink-3 line-through' : ''}`}>{text}</span>
            {id === next?.id && (
              <button
                type="button"
                className="icon-button"
                disabled={isBusy}
                aria-label={`Undo ${text}`}
                onClick={() => onStep('undo')}
              >
                <Undo2 size={14} />
              </button>
            )}
            {id === again?.id && (
              <button
                type="button"
                className="icon-button"
                disabled={isBusy}
                aria-label={`Do ${text} again`}
                onClick={() => onStep('redo')}
              >
                <Redo2 size={14} />
              </button>
            )}
          </li>
        ))}
      </ol>
      {changes.length > shown && <p className="text-[13px] text-ink-3">and {changes.length - shown} before</p>}
    </section>
  );
}
