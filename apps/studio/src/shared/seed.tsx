import type { ReactNode } from 'react';

/** Shapes by hue, in the order a lens hands them out. A hue is never the only sign: each has its own seed. */
const shapes: ReactNode[] = [
  <circle key="1" cx="7" cy="7" r="5.4" />,
  <path key="2" d="M7 .8c3.3 2.9 4.9 5 4.9 7.4a4.9 4.9 0 0 1-9.8 0C2.1 5.8 3.7 3.7 7 .8z" />,
  <path key="3" d="M.9 10.5a6.1 6.1 0 0 1 12.2 0z" />,
  <path key="4" d="M1.9 1.9h10.2v10.2H1.9z" />,
  <path key="5" d="M7 1.3 13 12H1z" />,
  <path key="6" d="m7 .7 6.3 6.3L7 13.3.7 7z" />,
  <path key="7" d="M1.8 1.3h10.4L8.6 7l3.6 5.7H1.8L5.4 7z" />,
  <path key="8" d="M5 1.2h4V5h3.8v4H9v3.8H5V9H1.2V5H5z" />,
];

/** A facet's mark in its hue; from the ninth facet on with a ring round it. */
export function Seed({ hue, size = 13, open = false }: { hue: number; size?: number; open?: boolean }) {
  const shape = (hue - 1) % shapes.length;
  const ringed = hue > shapes.length;
  return (
    <svg
      width={size}
      height={size}
      viewBox={ringed ? '-4 -4 22 22' : '0 0 14 14'}
      aria-hidden="true"
      className="shrink-0"
      data-hue={shape + 1}
      style={{ fill: open ? 'none' : 'var(--h)', stroke: open ? 'var(--h)' : 'none', strokeWidth: 2 }}
    >
      {shapes[shape]}
      {ringed && <circle cx="7" cy="7" r="9.6" fill="none" stroke="var(--h)" strokeWidth="1.4" />}
    </svg>
  );
}

/** The CSS attribute that gives a place the colours of a hue. */
export function hueAttribute(hue: number): { 'data-hue': number } {
  return { 'data-hue': ((hue - 1) % shapes.length) + 1 };
}
