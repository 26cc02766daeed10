import type { FacetOf } from '@ivy/core';
import { Plus, X } from 'lucide-react';
import { Row } from '../wiring-parts.js';
import { Segments } from '../../shared/segments.js';
import { Drawing } from './drawing.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { RangeWiring } from '../range-wiring.js';

export const dateRange: KindDesk<FacetOf<'date-range'>> = {
  name: 'Days',
  drawing: (
    <Drawing>
      <path d="M6 25h30" />
      {[4, 9, 16, 12, 6].map((height, i) => (
        <rect
          key={i}
          x={8 + i * 5.6}
          y={24 - height}
          width="3.4"
          height={height}
          className={i === 2 || i === 3 ? 'on' : 'off'}
        />
      ))}
    </Drawing>
  ),
  Main: RangeWiring,
  Own: DaySettings,
  unfolds: 'Visitors unfold it to see the picture',
};

function DaySettings({ facet, onChange }: OwnProps<FacetOf<'date-range'>>) {
  return (
    <section className="section grid grid-cols-[minmax(0,1fr)] gap-2.5">
      <Row label="Pick">
        <Segments
          label="Visitors pick"
          value={facet.pick}
          ways={{ range: 'from and to', day: 'one day' }}
          onPick={(pick) => onChange({ pick })}
        />
      </Row>
      <Presets facet={facet} onChange={onChange} />
    </section>
  );
}

const year = new Date().getFullYear();
const offers = [
  { label: 'Last 30 days', range: 'P30D' },
  { label: 'This year', range: 'this-year' },
  { label: 'Last year', range: 'last-year' },
];

/** Ranges visitors can press: some to offer, and own ones as an address writes them. */
function Presets({ facet, onChange }: { facet: FacetOf<'date-range'>; onChange: OwnProps['onChange'] }) {
  const set = (presets: typeof facet.presets) => onChange({ presets });
  const left = offers.filter((offer) => !facet.presets.some((preset) => preset.range === offer.range));
  return (
    <div>
      <h3 className="eyebrow mb-1.5">Presets</h3>
      <ul className="grid gap-2">
        {facet.presets.map((preset, i) => (
          <li key={i} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-1 gap-y-0.5">
            <input
              className="field w-full"
              aria-label={`Label of preset ${i + 1}`}
              maxLength={60}
              value={preset.label}
              onChange={(event) =>
                onChange(
                  { presets: facet.presets.with(i, { ...preset, label: event.target.value || ' ' }) },
                  `preset ${i}`,
                )
              }
            />
            <input
              className="field mono order-1 h-[24px] w-full text-[12px]"
              aria-label={`Range of preset ${i + 1}`}
              maxLength={40}
              value={preset.range}
              onChange={(event) =>
                event.target.value !== '' &&
                onChange({ presets: facet.presets.with(i, { ...preset, range: event.target.value }) }, `range ${i}`)
              }
            />
            <button
              type="button"
              className="icon-button"
              aria-label={`Take ${preset.label} away`}
              onClick={() => set(facet.presets.toSpliced(i, 1))}
            >
              <X size={14} />
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-1 flex flex-wrap gap-x-3 gap-y-1">
        {left.map((offer) => (
          <button
            key={offer.range}
            type="button"
            className="flex items-center gap-1 text-[13px] text-ink-2 hover:text-ink"
            onClick={() => set([...facet.presets, offer])}
          >
            <Plus size={12} className="text-ivy" /> {offer.label}
          </button>
        ))}
        <button
          type="button"
          className="flex items-center gap-1 text-[13px] text-ink-2 hover:text-ink"
          onClick={() => set([...facet.presets, { label: 'My range', range: `${year}-03-01/${year}-05-31` }])}
        >
          <Plus size={12} className="text-ivy" /> own
        </button>
      </div>
    </div>
  );
}
