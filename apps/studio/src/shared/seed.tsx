import type { ReactNode } from 'react';

/** Shapes by hue, in the order a lens hands them out. A hue is never the only sign: each has its own seed. */
const shapes: ReactNode[] = [
  <circle key="1" cx="7" cy="7" r="5.4" />,
  <path key="2" d="M7 .8c3.300 2.900 4.900 5 4.900 7.400a4.900 4.900 0 0 1-9.800 0C2.100 5.800 3.700 3.700 7 .8z" />,
  <path key="3" d="M.9 10.500a6.100 6.100 0 0 1 12.200 0z" />,
  <path key="4" d="M1.900 1.900h10.200v10.200H1.900z" />,
  <path key="5" d="M7 1.300 13 12H1z" />,
  <path key="6" d="m7 .7 6.300 6.300L7 13.300.7 7z" />,
  <path key="7" d="M1.800 1.300h10.400L8.600 7l3.600 5.700H1.800L5.400 7z" />,
  <path key="8" d="M5 1.200h4V5h3.800v4H9v3.800H5V9H1.200V5H5z" />,
];

/** A facet's mark in its hue; from the ninth facet on with a ring round it. */
export function Seed({ hue, size = 13, open = false }: { hue: number; size?: number; open?: boolean }) {
  const shape = (hue - 1) % shapes.length;
  const ringed = hue > shapes.length;
  return (
    <svg width={size} height={size} viewBox={ringed ? '-4 -4 22 22' : '0 0 14 14'} aria-hidden="true" className="shrink-0" data-hue={shape + 1}
      style={{ fill: open ? 'none' : 'var(--h)', stroke: open ? 'var(--h)' : 'none', strokeWidth: 2 }}>
      {shapes[shape]}
      {ringed && <circle cx="7" cy="7" r="9.6" fill="none" stroke="var(--h)" strokeWidth="1.4" />}
    </svg>
  );
}

/** The CSS attribute that gives a place the colours of a hue. */
export function hueAttribute(hue: number): { 'data-hue': number } {
  return { 'data-hue': ((hue - 1) % shapes.length) + 1 };
}
