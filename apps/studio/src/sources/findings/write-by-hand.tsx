import type { Finding } from '@ivy/core';
import { useId, useState, type FormEvent } from 'react';

interface Props {
  finding: Finding;
  isBusy: boolean;
  onWritten: (values: Record<string, string>) => void;
  onLeave: () => void;
}

/** Values that were found wrong, each with what it is to be read as. */
export function WriteByHand({ finding, isBusy, onWritten, onLeave }: Props) {
  const [written, setWritten] = useState<Record<string, string>>({});
  const id = useId();
  const send = (event: FormEvent) => {
    event.preventDefault();
    onWritten(Object.fromEntries(Object.entries(written).filter(([, text]) => text.trim() !== '')));
  };
  const isEmpty = Object.values(written).every((text) => text.trim() === '');
  return (
    <form className="mt-2 space-y-1.5" onSubmit={send}>
      {finding.values.map((value, i) => (
        <p key={value} className="flex items-center gap-2">
          <label htmlFor={`${id}-${i}`} className="mono w-2/5 shrink-0 truncate text-[12px]" title={value}>
            {value}
          </label>
          <span aria-hidden="true">→</span>
          <input
            id={`${id}-${i}`}
            className="field mono h-[28px] min-w-0 flex-1 text-[12.5px]"
            autoFocus={i === 0}
            placeholder={finding.code.endsWith('dates') ? '2026-05-31' : 'read as'}
            value={written[value] ?? ''}
            maxLength={1000}
            onChange={({ target }) => setWritten({ ...written, [value]: target.value })}
          />
        </p>
      ))}
      <p className="flex gap-2">
        <button type="submit" className="button button-small" disabled={isBusy || isEmpty}>
          See what it does
        </button>
        <button type="button" className="button button-small" onClick={onLeave}>
          Leave it
        </button>
      </p>
    </form>
  );
}
