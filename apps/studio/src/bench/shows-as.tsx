import { suitingKind, type FacetKind, type FieldDescription } from '@ivy/core';
import type { ReactNode } from 'react';

interface Way {
  kind: FacetKind;
  name: string;
  drawing: ReactNode;
}

const ways: Way[] = [
  {
    kind: 'checkboxes',
    name: 'Ticks',
    drawing: (
      <Drawing>
        {[6, 15, 24].map((y, i) => (
          <g key={y}>
            <rect x="8" y={y - 3.5} width="7" height="7" rx="1.5" className={i === 0 ? 'on' : 'off'} />
            <path d={`M19 ${y}h${[15, 11, 13][i]}`} />
          </g>
        ))}
      </Drawing>
    ),
  },
  {
    kind: 'tree',
    name: 'Tree',
    drawing: (
      <Drawing>
        <path d="M10 6v18M10 15h5M10 24h5" />
        {[
          [6, 6],
          [15, 12],
          [24, 12],
        ].map(([y, x]) => (
          <g key={y}>
            <rect x={x! + 1} y={y! - 3} width="6" height="6" rx="1.5" className={y === 15 ? 'on' : 'off'} />
            <path d={`M${x! + 10} ${y}h12`} />
          </g>
        ))}
      </Drawing>
    ),
  },
  {
    kind: 'radios',
    name: 'One of',
    drawing: (
      <Drawing>
        {[6, 15, 24].map((y, i) => (
          <g key={y}>
            <circle cx="11.5" cy={y} r="3.5" className={i === 1 ? 'on' : 'off'} />
            <path d={`M19 ${y}h${[15, 11, 13][i]}`} />
          </g>
        ))}
      </Drawing>
    ),
  },
  {
    kind: 'buttons',
    name: 'Buttons',
    drawing: (
      <Drawing>
        <rect x="6" y="5" width="15" height="8" rx="4" className="on" />
        <rect x="24" y="5" width="12" height="8" rx="4" className="off" />
        <rect x="6" y="17" width="10" height="8" rx="4" className="off" />
        <rect x="19" y="17" width="17" height="8" rx="4" className="off" />
      </Drawing>
    ),
  },
  {
    kind: 'dropdown',
    name: 'Dropdown',
    drawing: (
      <Drawing>
        <rect x="6" y="9" width="30" height="12" rx="2.5" className="off" />
        <path d="M10 15h13" />
        <path d="m27 13.5 2.5 3 2.5-3" />
      </Drawing>
    ),
  },
  {
    kind: 'switch',
    name: 'Switch',
    drawing: (
      <Drawing>
        <rect x="10" y="9" width="22" height="12" rx="6" className="on" />
        <circle cx="26" cy="15" r="4" fill="var(--raised)" stroke="none" />
      </Drawing>
    ),
  },
];

/** The ways a field can be shown, as small drawings. Only those that can work with the field. */
export function ShowsAs({
  field,
  kind,
  onPick,
}: {
  field: FieldDescription | undefined;
  kind: FacetKind;
  onPick: (kind: FacetKind) => void;
}) {
  const possible = ways.filter((way) =>
    way.kind === 'tree' ? field?.tree : way.kind === 'switch' ? field?.type === 'boolean' : true,
  );
  const suited = field && suitingKind(field);
  const suitedWay = possible.find((way) => way.kind === suited?.kind);
  return (
    <>
      <div className="grid grid-cols-5 gap-1.5" role="group" aria-label="Shows as">
        {possible.map((way) => (
          <div key={way.kind} className="text-center">
            <button
              type="button"
              className="pick grid h-[38px] w-full place-items-center"
              aria-pressed={way.kind === kind}
              aria-label={way.name}
              onClick={() => onPick(way.kind)}
            >
              {way.drawing}
            </button>
            <span className={`text-[12.5px] ${way.kind === kind ? 'font-semibold' : 'text-ink-2'}`} aria-hidden="true">
              {way.name}
            </span>
          </div>
        ))}
      </div>
      {suitedWay && suitedWay.kind !== kind && !(field?.type === 'boolean' && kind === 'switch') && (
        <p className="mt-1.5 text-[13px] text-ink-3">
          {suitedWay.name} would suit: <span className="text-ink-2">{suited!.why}</span>
        </p>
      )}
    </>
  );
}

function Drawing({ children }: { children: ReactNode }) {
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
