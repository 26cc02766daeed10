/** Entries of one list or object that are shown: nobody reads ten thousand. */
const shown = 200;

/** What came as JSON, to be folded out level by level. */
export function JsonTree({ value, name, isOpen = true }: { value: unknown; name?: string; isOpen?: boolean }) {
  const label = name !== undefined && <span className="text-ivy">{name}: </span>;
  if (typeof value !== 'object' || value === null) {
    return (
      <div className="mono ps-4 text-[12.5px] break-all">
        {label}
        {JSON.stringify(value) ?? 'nothing'}
      </div>
    );
  }
  const entries: [string, unknown][] = Object.entries(value);
  const [open, close] = Array.isArray(value) ? ['[', ']'] : ['{', '}'];
  return (
    <details open={isOpen} className="mono ps-4 text-[12.5px]">
      <summary className="-ms-4 cursor-pointer">
        {label}
        <span className="text-ink-2">
          {open}
          {entries.length}
          {close}
        </span>
      </summary>
      {entries.slice(0, shown).map(([key, one]) => (
        <JsonTree key={key} name={key} value={one} isOpen={false} />
      ))}
      {entries.length > shown && <div className="ps-4 text-ink-3">and {entries.length - shown} more</div>}
    </details>
  );
}
