import type { FacetOf } from '@ivy/core';
import { Drawing } from './drawing.js';
import type { KindDesk } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const radios: KindDesk<FacetOf<'radios'>> = {
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
  Main: TermWiring,
  unfolds: 'Visitors unfold it to see its terms',
};
