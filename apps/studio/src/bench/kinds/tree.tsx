import type { FacetOf } from '@ivy/core';
import { Row } from '../wiring-parts.js';
import { Segments } from '../../shared/segments.js';
import { Drawing } from './drawing.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const tree: KindDesk<FacetOf<'tree'>> = {
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
  Main: TermWiring,
  Own: TreeSettings,
  unfolds: 'Visitors unfold it to see its terms',
};

function TreeSettings({ facet, onChange }: OwnProps<FacetOf<'tree'>>) {
  return (
    <section className="section">
      <Row label="Levels">
        <Segments
          label="Levels shown"
          value={String(facet.levels ?? 'all')}
          ways={{ '1': 'top', '2': 'two', all: 'all' }}
          onPick={(levels) => onChange({ levels: levels === 'all' ? undefined : Number(levels) })}
        />
      </Row>
    </section>
  );
}
