import type { FacetOf } from '@ivy/core';
import { Drawing } from './drawing.js';
import type { KindDesk } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const checkboxes: KindDesk<FacetOf<'checkboxes'>> = {
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
  Main: TermWiring,
  unfolds: 'Visitors unfold it to see its terms',
};
