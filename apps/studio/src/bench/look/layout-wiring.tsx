import { facetLabel, placedAt, type ArrangementName, type Lens, type PlaceName, type SpanName } from '@ivy/core';
import { Choice, type ResultsProps } from '../results/parts.js';
import { Segments } from '../../shared/segments.js';
import { foldIn, isPlaced, place, unplace, type PlacedName } from './edits.js';
import { Drawings, Setting, Slider } from './setting.js';

/** The ways cards lie: what they are called, and where pictures and lines of words are in them. */
const arrangements: readonly (readonly [ArrangementName, string, { filled: string; lines: string }])[] = [
  ['grid', 'Columns', { filled: 'M2 2h14v9H2zM20 2h14v9H20z', lines: 'M2 15h14M2 19h10M20 15h14M20 19h10' }],
  [
    'columns-reversed',
    'Reversed columns',
    { filled: 'M2 14h14v9H2zM20 14h14v9H20z', lines: 'M2 4h14M2 8h10M20 4h14M20 8h10' },
  ],
  ['rows', 'Rows', { filled: 'M2 2h12v9H2zM2 15h12v9H2z', lines: 'M17 4h17M17 8h11M17 17h17M17 21h11' }],
  [
    'rows-reversed',
    'Reversed rows',
    { filled: 'M22 2h12v9H22zM22 15h12v9H22z', lines: 'M2 4h17M2 8h11M2 17h17M2 21h11' },
  ],
  ['list', 'List', { filled: '', lines: 'M2 4h22M27 4h7M2 10h18M27 10h7M2 16h24M27 16h7M2 22h16M27 22h7' }],
  ['table', 'Table', { filled: 'M2 2h32v5H2z', lines: 'M2 12h32M2 18h32M2 24h32M13 2v23M25 2v23' }],
];

const places: readonly (readonly [PlaceName, string, { filled: string; lines: string }])[] = [
  ['side', 'Beside', { filled: 'M2 2h9v22H2z', lines: 'M15 4h19M15 10h19M15 16h19M15 22h19' }],
  ['top', 'Above, in a row', { filled: 'M2 2h9v7H2zM13.5 2h9v7h-9zM25 2h9v7h-9z', lines: 'M2 14h32M2 19h32M2 24h32' }],
  ['stacked', 'Above, stacked', { filled: 'M2 2h20v3H2zM2 7h20v3H2zM2 12h20v3H2z', lines: 'M2 19h32M2 24h32' }],
  ['sheet', 'In a sheet', { filled: 'M2 2h11v5H2z', lines: 'M2 12h32M2 17h32M2 22h32' }],
];

const isColumns = (arrangement: ArrangementName) => arrangement === 'grid' || arrangement === 'columns-reversed';

interface Props extends ResultsProps {
  /** What is being set: all widths, by their widest; or one span alone. */
  span: SpanName;
  onSpan: (span: SpanName) => void;
}

/** How cards lie and where facets stand: at all widths, or in one span of them. */
export function LayoutWiring({ lens, fields, onEdit, span, onSpan }: Props) {
  const placed = placedAt(lens.look, span);
  /** What a setting is called by, and its way back. */
  const of = (name: PlacedName) => {
    const isOwn = isPlaced(lens, span, name);
    return {
      only: isOwn && span !== 'desktop' ? `${span} alone` : undefined,
      onReset: isOwn ? () => onEdit(unplace(lens, span, name)) : null,
    };
  };
  const pick =
    <N extends PlacedName>(name: N, topic?: string) =>
    (value: Lens['look'][N]) =>
      onEdit(place(lens, span, name, value), topic);
  const hidden = span === 'desktop' ? overridden(lens) : '';
  return (
    <>
      <section className="section">
        <Segments
          label="Set for"
          value={span}
          ways={{ desktop: 'all widths', tablet: 'tablet', phone: 'phone' }}
          onPick={onSpan}
        />
        <p className="mt-1.5 text-[13px] text-ink-3">
          {span === 'desktop'
            ? `Holds wherever a span says nothing of its own.${hidden}`
            : `${widths(lens, span)} What you set here holds there alone. Its flag is on the ruler: pull it.`}
        </p>
      </section>
      <Setting label="Cards lie" {...of('arrangement')}>
        <Drawings
          label="Cards lie"
          ways={arrangements}
          value={placed.arrangement}
          onPick={(value) => pick('arrangement')(value)}
        />
      </Setting>
      {isColumns(placed.arrangement) && (
        <>
          <Setting
            label="Cards in a row"
            hint={span === 'desktop' ? 'Where there is room for them.' : undefined}
            {...of('columns')}
          >
            <Segments
              label="Cards in a row"
              value={String(placed.columns)}
              ways={{ '1': '1', '2': '2', '3': '3', '4': '4', '5': '5', '6': '6' }}
              onPick={(columns) => pick('columns')(Number(columns))}
            />
          </Setting>
          <Setting label="Pictures stand" {...of('picture')}>
            <Segments
              label="Pictures stand"
              value={placed.picture}
              ways={{ own: 'as set', top: 'above', side: 'beside', none: 'nowhere' }}
              onPick={pick('picture')}
            />
          </Setting>
          <Setting label="Heights" {...of('equal')}>
            <Segments
              label="Heights"
              value={placed.equal ? 'equal' : 'own'}
              ways={{ equal: 'equal in a row', own: 'each its own' }}
              onPick={(heights) => pick('equal')(heights === 'equal')}
            />
          </Setting>
        </>
      )}
      {placed.arrangement !== 'list' && placed.arrangement !== 'table' && (
        <Setting label="Room between cards" {...of('gap')}>
          <Slider
            label="Room between cards"
            value={placed.gap}
            min={0}
            max={80}
            unit="px"
            onChange={pick('gap', `gap ${span}`)}
          />
        </Setting>
      )}
      <Setting label="Facets stand" {...of('facets')}>
        <Drawings label="Facets stand" ways={places} value={placed.facets} onPick={pick('facets')} />
      </Setting>
      <Setting label={placed.facets === 'side' ? 'On which side' : 'They lean'} {...of('align')}>
        <Segments
          label="Facets lean"
          value={placed.facets === 'side' && placed.align === 'center' ? 'start' : placed.align}
          ways={
            placed.facets === 'side'
              ? ({ start: 'before the cards', end: 'after them' } as Record<'start' | 'center' | 'end', string>)
              : { start: 'to the start', center: 'centred', end: 'to the end' }
          }
          onPick={pick('align')}
        />
      </Setting>
      {span !== 'desktop' && lens.facets.length > 0 && (
        <Setting
          label="Open or folded at first"
          onReset={
            Object.keys(lens.look[span].folded).length === 0
              ? null
              : () =>
                  onEdit(Object.keys(lens.look[span].folded).reduce((made, key) => foldIn(made, span, key, null), lens))
          }
        >
          <ul className="grid gap-1">
            {lens.facets
              .filter(({ visible }) => visible)
              .map((facet) => {
                const own = lens.look[span].folded[facet.key];
                const label = facetLabel(facet, fields, lens);
                return (
                  <li key={facet.key} className="flex items-center gap-2">
                    <span className="min-w-0 flex-1 truncate">{label}</span>
                    <select
                      className="field w-[132px]"
                      aria-label={`${label} at first`}
                      value={own === undefined ? '' : own ? 'folded' : 'open'}
                      onChange={({ target: { value } }) =>
                        onEdit(foldIn(lens, span, facet.key, value === '' ? null : value === 'folded'))
                      }
                    >
                      <option value="">{facet.folded ? 'folded, as elsewhere' : 'open, as elsewhere'}</option>
                      <option value="open">open</option>
                      <option value="folded">folded</option>
                    </select>
                  </li>
                );
              })}
          </ul>
        </Setting>
      )}
      {span === 'desktop' && (
        <Choice
          label="A choice counts"
          choices={[
            ['change', 'at once'],
            ['button', 'on a button'],
          ]}
          value={lens.address.apply}
          onPick={(apply) => onEdit({ ...lens, address: { ...lens.address, apply } })}
        />
      )}
    </>
  );
}

/** Which spans have something of their own, so that a change for all widths is not looked for there. */
function overridden(lens: Lens): string {
  const own = (['tablet', 'phone'] as const).filter((span) => Object.keys(lens.look[span]).length > 1);
  return own.length === 0 ? '' : ` ${own.join(' and ')} ${own.length === 1 ? 'says' : 'say'} some of it otherwise.`;
}

function widths({ look }: Lens, span: 'phone' | 'tablet'): string {
  return span === 'phone' ? `Below ${look.tabletFrom} px.` : `From ${look.tabletFrom} up to ${look.desktopFrom} px.`;
}
