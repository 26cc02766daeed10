import type { FacetOf } from '@ivy/core';
import { Row, Toggle } from '../wiring-parts.js';
import { Segments } from '../../shared/segments.js';
import { Drawing } from './drawing.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const switchDesk: KindDesk<FacetOf<'switch'>> = {
  name: 'Switch',
  drawing: (
    <Drawing>
      <rect x="10" y="9" width="22" height="12" rx="6" className="on" />
      <circle cx="26" cy="15" r="4" fill="var(--raised)" stroke="none" />
    </Drawing>
  ),
  alsoSuits: ({ type }) => type === 'boolean',
  Main: TermWiring,
  Own: SwitchSettings,
  unfolds: 'Visitors unfold it to see its terms',
};

function SwitchSettings({ facet, onChange }: OwnProps<FacetOf<'switch'>>) {
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
          A clean address means <b>{facet.start}</b>; <span className="mono text-[12px]">{facet.key}=either</span> shows
          all posts.
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
}

function withWord(labels: Record<string, string>, value: string, word: string): Record<string, string> {
  const { [value]: _before, ...others } = labels;
  return word.trim() === '' ? others : { ...others, [value]: word };
}
