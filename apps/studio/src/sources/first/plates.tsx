import type { ReactNode } from 'react';

/*
 * Three small pictures of what one does here, drawn with the colours of the theme.
 */

function Plate({ children }: { children: ReactNode }) {
  return (
    <svg viewBox="0 0 170 116" className="w-full max-w-[200px]" aria-hidden="true" strokeLinecap="round">
      {children}
    </svg>
  );
}

const paper = { fill: 'var(--paper)', stroke: 'var(--rule-2)' };
const card = { fill: 'var(--raised)', stroke: 'var(--rule-2)' };

/** A file whose columns lie as specimens on a tray, one of them under a box. */
export function PlateOfTray() {
  return (
    <Plate>
      <path d="M6 26h38l10 10v56H6z" {...card} />
      {[44, 54, 64, 74, 84].map((y, i) => (
        <path
          key={y}
          d={`M14 ${y}h12M30 ${y}h${i % 2 ? 8 : 14}`}
          stroke={i === 2 ? 'var(--rust)' : 'var(--rule-2)'}
          strokeWidth="3"
        />
      ))}
      <path d="M58 62h12m-5-5 5 5-5 5" fill="none" stroke="var(--ink-2)" strokeWidth="2" />
      <rect x="78" y="10" width="86" height="96" fill="var(--desk)" stroke="var(--rule-2)" />
      {[
        [84, 16],
        [124, 16],
        [84, 60],
        [124, 60],
      ].map(([x, y], i) => (
        <g key={i}>
          <rect x={x} y={y} width="34" height="40" {...card} />
          <circle cx={x! + 17} cy={y} r="3.5" fill="var(--ivy)" />
          {i === 0 && (
            <path
              d={`M${x! + 6} ${y! + 30}v-8M${x! + 13} ${y! + 30}v-14M${x! + 20} ${y! + 30}v-18M${x! + 27} ${y! + 30}v-6`}
              stroke="var(--ivy)"
              strokeWidth="4"
              strokeLinecap="butt"
            />
          )}
          {i === 1 && (
            <path
              d={`M${x! + 6} ${y! + 14}h20M${x! + 6} ${y! + 21}h14M${x! + 6} ${y! + 28}h9`}
              stroke="var(--ink-3)"
              strokeWidth="3"
            />
          )}
          {i === 2 && (
            <>
              <path d={`M${x! + 6} ${y! + 16}h18M${x! + 6} ${y! + 27}h18`} stroke="var(--ink-3)" strokeWidth="3" />
              <rect x={x! + 3} y={y! + 21} width="28" height="12" fill="none" stroke="var(--rust)" strokeWidth="1.6" />
            </>
          )}
          {i === 3 && (
            <path d={`M${x! + 4} ${y! + 32}l8 -12 6 7 5 -5 7 10z`} fill="var(--ivy-soft)" stroke="var(--ivy)" />
          )}
        </g>
      ))}
    </Plate>
  );
}

/** A page with ticks and cards, and the number they come to. */
export function PlateOfFacets() {
  return (
    <Plate>
      <rect x="4" y="6" width="162" height="104" {...card} />
      <path d="M14 18h30" stroke="var(--ink-3)" strokeWidth="4" />
      <rect
        x="10"
        y="28"
        width="48"
        height="54"
        fill="none"
        stroke="var(--ivy)"
        strokeDasharray="4 3"
        strokeWidth="1.5"
      />
      {[38, 52, 66].map((y, i) => (
        <g key={y}>
          <rect
            x="16"
            y={y - 4}
            width="8"
            height="8"
            rx="1.5"
            fill={i === 1 ? 'var(--ivy)' : 'var(--raised)'}
            stroke="var(--ivy)"
          />
          <path d={`M29 ${y}h${[18, 22, 14][i]}`} stroke="var(--ink-3)" strokeWidth="3" />
        </g>
      ))}
      <text x="70" y="22" fontSize="13" fontWeight="700" fill="var(--ink)" fontFamily="var(--font-display)">
        37
      </text>
      {[0, 1, 2, 3, 4, 5].map((i) => (
        <g key={i} transform={`translate(${70 + (i % 3) * 31} ${30 + Math.floor(i / 3) * 37})`}>
          <rect width="26" height="31" {...paper} />
          <path d="M0 13 8 6l6 5 5-4 7 6v7H0z" fill="var(--ivy-soft)" stroke="var(--ivy)" strokeWidth="0.8" />
          <path d="M4 25h16" stroke="var(--ink-3)" strokeWidth="2.4" />
        </g>
      ))}
      <path d="M12 98h60" stroke="var(--ivy)" strokeWidth="5" opacity="0.5" />
      <path d="M72 98h30" stroke="var(--ivy)" strokeWidth="3" />
      <path d="M102 98h34m-5-4 5 4-5 4" stroke="var(--ivy)" strokeWidth="2" fill="none" />
    </Plate>
  );
}

/** One line of HTML and what stands on the page for it. */
export function PlateOfPage() {
  return (
    <Plate>
      <rect x="4" y="6" width="162" height="84" {...card} />
      <rect x="4" y="6" width="162" height="20" fill="var(--ivy-soft)" stroke="var(--rule-2)" />
      <circle cx="18" cy="16" r="5" fill="var(--ivy)" />
      <path d="M30 16h34" stroke="var(--ink-2)" strokeWidth="3.5" />
      <rect
        x="12"
        y="33"
        width="146"
        height="50"
        fill="none"
        stroke="var(--ivy)"
        strokeDasharray="4 3"
        strokeWidth="1.5"
      />
      {[42, 54, 66].map((y) => (
        <path key={y} d={`M20 ${y}h6M30 ${y}h18`} stroke="var(--ink-3)" strokeWidth="3" />
      ))}
      {[62, 95, 128].map((x) => (
        <g key={x}>
          <rect x={x} y="39" width="26" height="36" {...paper} />
          <path d={`M${x} 58l8-8 6 5 5-4 7 6v4z`} fill="var(--ivy)" opacity="0.55" />
          <path d={`M${x + 4} 68h15`} stroke="var(--ink-3)" strokeWidth="2.4" />
        </g>
      ))}
      <rect x="40" y="94" width="126" height="18" rx="2" fill="var(--sunk)" stroke="var(--rule-2)" />
      <text x="46" y="106.500" fontSize="8.500" fill="var(--ivy)" fontFamily="var(--font-mono)">
        {'<ivy-lens name="notes">'}
      </text>
      <path d="M30 83v14q0 6 8 6" fill="none" stroke="var(--ivy)" strokeWidth="1.600" />
    </Plate>
  );
}
