/** What came of what was done, and what can be done about it. */
export interface SaidWords {
  words: string;
  isBad?: boolean;
  reasons?: readonly string[];
  act?: { label: string; run: () => void };
}

/** What came of the last press. */
export function Said({ said, busy }: { said: SaidWords | null; busy: boolean }) {
  return (
    <div role="status">
      {said && (
        <div className={`mb-4 rounded-[3px] px-3 py-2 ${said.isBad ? 'bg-bad-soft text-bad' : 'bg-ivy-soft text-ink'}`}>
          {said.words}
          {said.reasons && said.reasons.length > 0 && (
            <ul className="my-1.5 text-ink">
              {said.reasons.slice(0, 8).map((reason) => (
                <li key={reason} className="border-s-2 border-bad ps-2.5">
                  {reason}
                </li>
              ))}
              {said.reasons.length > 8 && <li className="ps-3 text-ink-2">and {said.reasons.length - 8} more</li>}
            </ul>
          )}
          {said.act && (
            <button type="button" className="button button-small ms-2" disabled={busy} onClick={said.act.run}>
              {said.act.label}
            </button>
          )}
        </div>
      )}
    </div>
  );
}
