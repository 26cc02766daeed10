import { Choice, type ResultsProps } from './parts.js';

/** The ways cards lie: what they are called, and where pictures and lines of words are in them. */
const arrangements = [
  ['grid', 'Columns', { pictures: 'M2 2h14v9H2zM20 2h14v9H20z', lines: 'M2 15h14M2 19h10M20 15h14M20 19h10' }],
  [
    'columns-reversed',
    'Reversed columns',
    { pictures: 'M2 14h14v9H2zM20 14h14v9H20z', lines: 'M2 4h14M2 8h10M20 4h14M20 8h10' },
  ],
  ['rows', 'Rows', { pictures: 'M2 2h12v9H2zM2 15h12v9H2z', lines: 'M17 4h17M17 8h11M17 17h17M17 21h11' }],
  [
    'rows-reversed',
    'Reversed rows',
    { pictures: 'M22 2h12v9H22zM22 15h12v9H22z', lines: 'M2 4h17M2 8h11M2 17h17M2 21h11' },
  ],
  ['list', 'List', { pictures: '', lines: 'M2 4h22M27 4h7M2 10h18M27 10h7M2 16h24M27 16h7M2 22h16M27 22h7' }],
] as const;

/** How cards lie, where facets stand beside them, and when a choice counts. */
export function LayoutWiring({ lens, onEdit }: ResultsProps) {
  return (
    <>
      <section className="section">
        <h3 className="eyebrow mb-2">Cards lie</h3>
        <div className="grid grid-cols-3 gap-1.5" role="group" aria-label="Cards lie">
          {arrangements.map(([arrangement, name, drawing]) => (
            <button
              key={arrangement}
              type="button"
              className="pick grid justify-items-center gap-1 px-1 py-2 text-[13px] leading-tight"
              aria-pressed={arrangement === lens.look.arrangement}
              onClick={() => onEdit({ ...lens, look: { ...lens.look, arrangement } })}
            >
              <svg viewBox="0 0 36 26" width="36" height="26" aria-hidden="true">
                <path d={drawing.pictures} fill="currentColor" opacity="0.75" />
                <path d={drawing.lines} stroke="currentColor" strokeWidth="1.6" fill="none" opacity="0.55" />
              </svg>
              {name}
            </button>
          ))}
        </div>
      </section>
      {!lens.look.arrangement.startsWith('rows') && lens.look.arrangement !== 'list' && (
        <Choice
          label="Cards in a row"
          choices={['1', '2', '3', '4', '5', '6'].map((n) => [n, n] as const)}
          value={String(lens.look.columns)}
          hint="Where there is room for them."
          onPick={(columns) => onEdit({ ...lens, look: { ...lens.look, columns: Number(columns) } })}
        />
      )}
      <Choice
        label="Facets stand"
        choices={[
          ['side', 'at the side'],
          ['top', 'above'],
        ]}
        value={lens.look.facets}
        onPick={(facets) => onEdit({ ...lens, look: { ...lens.look, facets } })}
      />
      <Choice
        label="A choice counts"
        choices={[
          ['change', 'at once'],
          ['button', 'on a button'],
        ]}
        value={lens.address.apply}
        onPick={(apply) => onEdit({ ...lens, address: { ...lens.address, apply } })}
      />
    </>
  );
}
