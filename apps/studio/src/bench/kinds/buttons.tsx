import type { FacetOf } from '@ivy/core';
import { Row } from '../wiring-parts.js';
import { Segments } from '../../shared/segments.js';
import { Drawing } from './drawing.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const buttons: KindDesk<FacetOf<'buttons'>> = {
  name: 'Buttons',
  drawing: (
    <Drawing>
      <rect x="6" y="5" width="15" height="8" rx="4" className="on" />
      <rect x="24" y="5" width="12" height="8" rx="4" className="off" />
      <rect x="6" y="17" width="10" height="8" rx="4" className="off" />
      <rect x="19" y="17" width="17" height="8" rx="4" className="off" />
    </Drawing>
  ),
  Main: TermWiring,
  Own: ButtonsSettings,
  unfolds: 'Visitors unfold it to see its terms',
};

function ButtonsSettings({ facet, onChange }: OwnProps<FacetOf<'buttons'>>) {
  return (
    <section className="section grid gap-2.5">
      <Row label="As">
        <Segments
          label="Buttons are"
          value={facet.as}
          ways={{ pills: 'pills', links: 'plain links' }}
          onPick={(as) => onChange({ as })}
        />
      </Row>
      <Row label="In a row">
        <Segments
          label="Where they do not fit"
          value={facet.row}
          ways={{ wrap: 'wrap', scroll: 'scroll' }}
          onPick={(row) => onChange({ row })}
        />
      </Row>
    </section>
  );
}
