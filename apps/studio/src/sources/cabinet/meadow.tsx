import type { SourceSummary } from '@ivy/client';
import type { ReactNode } from 'react';

type Type = SourceSummary['fields'][number]['type'];

/** What grows on a stalk, by what its field holds. All in one ink: hues belong to the facets of a lens. */
const heads: Record<Type, ReactNode> = {
  text: <path d="M-2 -1.5H2M-2 1.5H1" fill="none" strokeWidth="1.2" />,
  html: <path d="M-2 -1.5H2M-2 1.5H1" fill="none" strokeWidth="1.2" />,
  terms: <circle r="2.6" />,
  reference: <path d="M0 -3 3 0 0 3 -3 0z" />,
  date: <path d="M-3 1.6A3 3 0 0 1 3 1.6z" />,
  datetime: <path d="M-3 1.6A3 3 0 0 1 3 1.6z" />,
  number: <path d="M-2.4 -2.4H2.4V2.4H-2.4z" />,
  boolean: <path d="M-1 -3H1V-1H3V1H1V3H-1V1H-3V-1H-1z" />,
  link: <circle r="2.2" fill="none" strokeWidth="1.2" />,
  image: <path d="M-3 2.2 -0.6 -2 1 0.6 1.9 -0.6 3 2.2z" />,
};

/** The fields of a source as a small meadow: a stalk each, as high as posts have it. */
export function Meadow({ source, height = 24, gap = 11 }: { source: SourceSummary; height?: number; gap?: number }) {
  const { fields, posts } = source;
  return (
    <svg
      viewBox={`0 -3 ${Math.max(1, fields.length) * gap} ${height + 4}`}
      width={fields.length * gap}
      height={height + 4}
      className="max-w-full text-ink-2"
      preserveAspectRatio="xMinYMax meet"
      aria-hidden="true"
    >
      {fields.map(({ key, type, filled }, i) => {
        const tall = 4 + ((height - 8) * filled) / Math.max(1, posts);
        const x = gap / 2 + i * gap;
        return (
          <g key={key} stroke="currentColor" fill="currentColor" strokeWidth="0">
            <path d={`M${x} ${height}V${height - tall + 2}`} strokeWidth="1" opacity={0.55} />
            <g transform={`translate(${x} ${height - tall})`}>{heads[type]}</g>
          </g>
        );
      })}
      <path d={`M0 ${height}H${fields.length * gap}`} stroke="currentColor" strokeWidth="1" opacity={0.35} />
    </svg>
  );
}
