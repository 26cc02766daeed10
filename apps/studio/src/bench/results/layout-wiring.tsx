import { Choice, type ResultsProps } from './parts.js';

/** How cards lie, where facets stand beside them, and when a choice counts. */
export function LayoutWiring({ lens, onEdit }: ResultsProps) {
  return (
    <>
      <Choice
        label="Cards in a row"
        choices={['1', '2', '3', '4', '5', '6'].map((n) => [n, n] as const)}
        value={String(lens.look.columns)}
        hint="Where there is room for them."
        onPick={(columns) => onEdit({ ...lens, look: { ...lens.look, columns: Number(columns) } })}
      />
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
