import type { FacetOf } from '@ivy/core';
import { Toggle } from '../wiring-parts.js';
import { Drawing } from './drawing.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const letters: KindDesk<FacetOf<'letters'>> = {
  name: 'Letters',
  drawing: (
    <Drawing>
      {['A', 'B', 'C', 'D'].map((letter, i) => (
        <g key={letter}>
          <rect
            x={7 + (i % 2) * 15}
            y={i < 2 ? 3 : 16}
            width="13"
            height="11"
            rx="1.5"
            className={i === 1 ? 'on' : 'off'}
          />
          <text
            x={13.5 + (i % 2) * 15}
            y={i < 2 ? 11.5 : 24.5}
            fontSize="8.5"
            textAnchor="middle"
            stroke="none"
            fill={i === 1 ? 'var(--raised)' : 'var(--ink-3)'}
          >
            {letter}
          </text>
        </g>
      ))}
    </Drawing>
  ),
  Main: TermWiring,
  Own: LetterSettings,
  unfolds: 'Visitors unfold it to see its letters',
};

function LetterSettings({ facet, onChange }: OwnProps<FacetOf<'letters'>>) {
  return (
    <section className="section grid gap-2.5">
      <Toggle
        label="Pass over articles"
        hint="“The avocet” stands under A"
        on={facet.articles === 'pass'}
        onFlip={(pass) => onChange({ articles: pass ? 'pass' : 'count' })}
      />
    </section>
  );
}
