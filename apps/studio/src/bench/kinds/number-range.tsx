import type { FacetOf } from '@ivy/core';
import { Row } from '../wiring-parts.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { RangeWiring } from '../range-wiring.js';

export const numberRange: KindDesk<FacetOf<'number-range'>> = {
  name: 'Numbers',
  Main: RangeWiring,
  Own: NumberSettings,
  unfolds: 'Visitors unfold it to see the picture',
};

function NumberSettings({ facet, onChange }: OwnProps<FacetOf<'number-range'>>) {
  return (
    <section className="section grid gap-2.5">
      <Row label="Unit">
        <input
          className="field w-full"
          aria-label="Unit"
          maxLength={30}
          placeholder="min, km, €"
          value={facet.unit}
          onChange={(event) => onChange({ unit: event.target.value }, 'unit')}
        />
      </Row>
      <Row label="Step">
        <input
          type="number"
          min={1}
          max={1_000_000}
          className="field w-[90px]"
          aria-label="Step of the slider"
          placeholder="finest"
          value={facet.step ?? ''}
          onChange={(event) => {
            const step = Number(event.target.value);
            if (event.target.value === '') onChange({ step: undefined }, 'step');
            else if (Number.isInteger(step) && step >= 1) onChange({ step }, 'step');
          }}
        />
      </Row>
    </section>
  );
}
