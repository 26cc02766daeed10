import type { ReactNode } from 'react';

/** A small picture of how a facet is shown: `on` is what is chosen, `off` what could be. */
export function Drawing({ children }: { children: ReactNode }) {
  return (
    <svg
      width="42"
      height="30"
      viewBox="0 0 42 30"
      aria-hidden="true"
      fill="none"
      stroke="var(--ink-3)"
      strokeWidth="1.4"
      strokeLinecap="round"
      className="[&_.off]:stroke-ink-3 [&_.on]:fill-hue [&_.on]:stroke-hue"
    >
      {children}
    </svg>
  );
}
