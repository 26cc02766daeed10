import { Plus, X } from 'lucide-react';

/** Headers that are being written, each with its name and what it says. */
export type Written = readonly { name: string; text: string }[];

/** Headers as they are sent: those without a name are none. */
export function headersOf(written: Written): Record<string, string> {
  return Object.fromEntries(written.flatMap(({ name, text }) => (name.trim() === '' ? [] : [[name.trim(), text]])));
}

/** Headers for an endpoint, such as a key. What they say can be written, and never read again. */
export function HeadersForm({ written, onChange }: { written: Written; onChange: (written: Written) => void }) {
  const change = (i: number, more: Partial<Written[number]>) =>
    onChange(written.map((one, n) => (n === i ? { ...one, ...more } : one)));
  return (
    <fieldset>
      <legend className="text-[13px] font-semibold">Headers it wants</legend>
      {written.map(({ name, text }, i) => (
        <p key={i} className="mt-1 flex gap-1.5">
          <input
            className="field mono h-[30px] w-2/5 text-[12.5px]"
            aria-label={`Name of header ${i + 1}`}
            placeholder="Authorization"
            value={name}
            maxLength={100}
            onChange={({ target }) => change(i, { name: target.value })}
          />
          <input
            className="field mono h-[30px] flex-1 text-[12.5px]"
            type="password"
            autoComplete="off"
            aria-label={`What header ${i + 1} says`}
            value={text}
            maxLength={4000}
            onChange={({ target }) => change(i, { text: target.value })}
          />
          <button
            type="button"
            className="icon-button"
            aria-label={`Take header ${i + 1} out`}
            onClick={() => onChange(written.filter((_, n) => n !== i))}
          >
            <X size={14} />
          </button>
        </p>
      ))}
      <button
        type="button"
        className="act mt-1 text-[13px]"
        onClick={() => onChange([...written, { name: '', text: '' }])}
      >
        <Plus size={14} className="me-1" aria-hidden="true" /> A header, such as a key
      </button>
      {written.length > 0 && (
        <p className="mt-1 text-[13px] text-ink-2">Kept sealed, sent to this address alone, never shown again.</p>
      )}
    </fieldset>
  );
}
