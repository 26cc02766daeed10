import type { MarkName } from '@ivy/core';
import { Row, type HandProps } from './hand-parts.js';
import { placeOf } from './marks.js';
import { placeWords } from './words.js';

/** What a place is for. */
export function PlaceSettings({ mark, onChange, reading }: HandProps) {
  const now = placeOf(mark.says);
  return (
    <>
      <Row label="It is for">
        {(id) => (
          <select
            id={id}
            className="field h-[28px] w-full"
            value={now}
            onChange={({ target }) => {
              const { value } = target;
              if (value === 'facet')
                onChange({
                  [now!]: undefined,
                  for: '',
                  facet: reading.fields.find(({ type }) => type === 'terms')?.key ?? '',
                });
              else onChange({ [now!]: undefined, [value]: '' });
            }}
          >
            {Object.entries(placeWords).map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
            <option value="facet">A facet of ours</option>
          </select>
        )}
      </Row>
      <p className="px-4 pb-1 text-[13px] text-ink-2">{placeNotes[now!]}</p>
    </>
  );
}

const placeNotes: Partial<Record<MarkName, string>> = {
  count: 'The number of items that match is written there.',
  total: 'The number of all items is written there.',
  empty: 'It is shown only while nothing matches.',
  pager: 'It goes on with what is chosen. Without the script it stays as it is.',
  more: 'Each press shows more items.',
};
