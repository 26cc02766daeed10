import type { FacetOf } from '@ivy/core';
import { Drawing } from './drawing.js';
import type { KindDesk } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const dropdown: KindDesk<FacetOf<'dropdown'>> = {
  name: 'Dropdown',
  drawing: (
    <Drawing>
      <rect x="6" y="9" width="30" height="12" rx="2.5" className="off" />
      <path d="M10 15h13" />
      <path d="m27 13.5 2.5 3 2.5-3" />
    </Drawing>
  ),
  Main: TermWiring,
  unfolds: 'Visitors unfold it to see its terms',
};
