import type { CSSProperties } from 'react';

/** Outline of a leaf in a square of 100, its stalk at the middle of the lower edge. */
export const leafOutline =
  'M50 92C45 85 38 83 30 88C27 82 20 78 9 77C13 67 12 58 5 48C17 48 26 43 30 32C37 26 45 17 50 4C55 17 63 26 70 32C74 43 83 48 95 48C88 58 87 67 91 77C80 78 73 82 70 88C62 83 55 85 50 92Z';
const veins =
  'M50 97V18M50 84Q36 76 18 74M50 84Q64 76 82 74M50 68Q34 58 16 51M50 68Q66 58 84 51M50 48 41 36M50 48 59 36';

interface Props {
  /** Pixels a side. */
  size: number;
  /** Posts with all below, and of just the term. */
  count: number;
  own: number;
  colour: string | null;
  isHidden?: boolean;
  isChosen?: boolean;
}

/** A term: its area is its posts, its own ones filled and those below outlined. */
export function Leaf({ size, count, own, colour, isHidden = false, isChosen = false }: Props) {
  const share = count === 0 ? 0 : Math.sqrt(own / count);
  const hue = { '--leaf': colour ?? 'var(--h)' } as CSSProperties;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 100 100"
      aria-hidden="true"
      className="block overflow-visible"
      style={hue}
    >
      <path
        d={leafOutline}
        className={isChosen ? 'fill-(--leaf)' : 'fill-raised'}
        style={isChosen ? {} : { fill: `color-mix(in oklab, var(--leaf) ${isHidden ? 4 : 14}%, var(--raised))` }}
        stroke={isHidden ? 'var(--ink-3)' : 'var(--leaf)'}
        strokeWidth={Math.min(9, 130 / size)}
        strokeDasharray={isHidden || count === 0 ? `${300 / size} ${240 / size}` : undefined}
      />
      {share > 0 && !isHidden && !isChosen && (
        <path
          d={leafOutline}
          style={{ fill: 'color-mix(in oklab, var(--leaf) 52%, var(--raised))' }}
          transform={`translate(${50 - 50 * share} ${92 - 92 * share}) scale(${share})`}
        />
      )}
      {size > 26 && (
        <path
          d={veins}
          fill="none"
          stroke={isChosen ? 'var(--raised)' : isHidden ? 'var(--ink-3)' : 'var(--leaf)'}
          strokeWidth={Math.min(4, 70 / size)}
          opacity={0.7}
        />
      )}
    </svg>
  );
}
