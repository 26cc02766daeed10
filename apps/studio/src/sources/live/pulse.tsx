import type { LiveView } from '@ivy/client';
import { TriangleAlert } from 'lucide-react';

/** A drop that says how it is: full, going round, or a sign of what is wrong. Never by its colour alone. */
export function Pulse({ state, isShort = false }: { state: LiveView['state']; isShort?: boolean }) {
  const words = { fresh: 'fresh', fetching: 'being fetched', failing: 'can’t be fetched', held: 'waits for you' }[
    state
  ];
  if (state === 'failing' || state === 'held') {
    return (
      <span className="inline-flex shrink-0 items-center gap-1 font-semibold text-rust">
        <TriangleAlert size={13} aria-hidden="true" /> <span className={isShort ? 'sr-only' : ''}>{words}</span>
      </span>
    );
  }
  return (
    <span className="inline-flex shrink-0 items-center gap-1.5 font-semibold text-ivy">
      <svg
        viewBox="0 0 12 14"
        width="10"
        height="12"
        aria-hidden="true"
        className={state === 'fetching' ? 'motion-safe:animate-pulse' : ''}
      >
        <path d="M6 .5C8.5 4 11 6.3 11 9a5 5 0 0 1-10 0C1 6.300 3.500 4 6 .5Z" fill="currentColor" />
      </svg>
      <span className={isShort ? 'sr-only' : ''}>{words}</span>
    </span>
  );
}
