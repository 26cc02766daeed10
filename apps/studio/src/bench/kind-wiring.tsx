import { isRange, isTerms, type Facet, type Lens, type RangeFacet } from '@ivy/core';
import { Plus, X } from 'lucide-react';
import { Row, Segments, Toggle } from './wiring-parts.js';

interface Props {
  facet: Facet;
  onChange: (patch: Partial<Facet>, topic?: string) => void;
}

/** What only one kind of facet has: how it is laid out, moved and worded. */
export function KindWiring({ facet, onChange }: Props) {
  switch (facet.kind) {
    case 'buttons':
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
    case 'tree':
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
    case 'switch':
      return (
        <section className="section grid gap-2.5">
          <Toggle
            label="“No” matters too"
            hint="Either, yes and no to choose from"
            on={facet.both}
            onFlip={(both) => onChange({ both })}
          />
          <Row label="Starts as">
            <Segments
              label="Starts as"
              value={facet.start}
              ways={{ either: 'either', yes: 'yes', no: 'no' }}
              onPick={(start) => onChange({ start })}
            />
          </Row>
          {facet.start !== 'either' && (
            <p className="text-[13px] text-ink-2">
              A clean address means <b>{facet.start}</b>; <span className="mono text-[12px]">{facet.key}=either</span>{' '}
              shows all posts.
            </p>
          )}
          {(['yes', 'no'] as const).map((value) => (
            <Row key={value} label={value === 'yes' ? 'Yes is' : 'No is'}>
              <input
                className="field w-full"
                aria-label={`Words for ${value}`}
                maxLength={200}
                placeholder={value === 'yes' ? 'Yes' : 'No'}
                value={facet.labels[value] ?? ''}
                onChange={(event) => onChange({ labels: withWord(facet.labels, value, event.target.value) }, value)}
              />
            </Row>
          ))}
        </section>
      );
    case 'date-range':
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
    case 'number-range':
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
    case 'checkboxes':
    case 'radios':
    case 'dropdown':
    case 'search':
    case 'favourites':
      return null;
  }
}

function withWord(labels: Record<string, string>, value: string, word: string): Record<string, string> {
  const { [value]: _before, ...others } = labels;
  return word.trim() === '' ? others : { ...others, [value]: word };
}

const year = new Date().getFullYear();
const offers = [
  { label: 'Last 30 days', range: 'P30D' },
  { label: 'This year', range: 'this-year' },
  { label: 'Last year', range: 'last-year' },
];

/** Ranges visitors can press: some to offer, and own ones as an address writes them. */
function Presets({
  facet,
  onChange,
}: {
  facet: Extract<RangeFacet, { kind: 'date-range' }>;
  onChange: Props['onChange'];
}) {
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

/** When a facet is there: folded at first, waiting for another, one choice at a time. */
export function ThereWiring({
  lens,
  facet,
  labelOf,
  onChange,
}: Props & { lens: Lens; labelOf: (facet: Facet) => string }) {
  const others = lens.facets.filter((other) => other !== facet);
  const canBeSingle = isTerms(facet) && 'single' in facet;
  return (
    <section className="section grid gap-2.5">
      {canBeSingle && <Toggle label="One at a time" on={facet.single} onFlip={(single) => onChange({ single })} />}
      <Toggle
        label="Folded at first"
        hint={isRange(facet) ? 'Visitors unfold it to see the picture' : 'Visitors unfold it to see its terms'}
        on={facet.folded}
        onFlip={(folded) => onChange({ folded })}
      />
      {others.length > 0 && (
        <Row label="Waits for">
          <select
            className="field w-full pe-1"
            aria-label="Shown once something is chosen in"
            value={facet.dependsOn}
            onChange={(event) => onChange({ dependsOn: event.target.value })}
          >
            <option value="">nothing: always there</option>
            {others.map((other) => (
              <option key={other.key} value={other.key}>
                {`a choice in ${labelOf(other)}`}
              </option>
            ))}
          </select>
        </Row>
      )}
    </section>
  );
}
