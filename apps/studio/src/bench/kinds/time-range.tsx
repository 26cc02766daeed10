import type { FacetOf } from '@ivy/core';
import { RangeWiring } from '../range-wiring.js';
import { Drawing } from './drawing.js';
import type { KindDesk } from './kind-desk.js';

export const timeRange: KindDesk<FacetOf<'time-range'>> = {
  name: 'Hours',
  drawing: (
    <Drawing>
      <circle cx="14" cy="15" r="9" className="off" />
      <path d="M14 10v5l4 2" />
      <path d="M29 11h8M29 19h8" className="off" />
    </Drawing>
  ),
  alsoSuits: ({ type }) => type === 'datetime',
  Main: RangeWiring,
  unfolds: 'Visitors unfold it to see the picture',
};
