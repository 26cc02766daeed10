import { useState } from 'react';
import { Choice, NumberRow, type ResultsProps } from './parts.js';
import { TermCondition } from './term-condition.js';

/** What stands where nothing is found: ways out always, and posts to look at besides, if wanted. */
export function NothingWiring({ lens, source, fields, onEdit }: ResultsProps) {
  const { nothing } = lens;
  const set = (change: Partial<typeof nothing>) => onEdit({ ...lens, nothing: { ...nothing, ...change } });
  // a condition is none until a term is ticked
  const [begun, setBegun] = useState('');
  const field = nothing.where[0]?.field ?? begun;
  return (
    <>
      <Choice
        label="Where nothing is found"
        choices={[
          ['ways', 'ways out'],
          ['posts', 'ways out and posts'],
        ]}
        value={nothing.show}
        onPick={(show) => set({ show })}
      />
      {nothing.show === 'posts' && (
        <>
          <NumberRow
            label="How many posts"
            id="nothing-size"
            value={nothing.size}
            min={1}
            max={24}
            onChange={(size) => set({ size: size! })}
          />
          <section className="section">
            <select
              className="field w-full"
              aria-label="Posts to show where nothing is found"
              value={field}
              onChange={(event) => {
                setBegun(event.target.value);
                if (nothing.where.length > 0) set({ where: [] });
              }}
            >
              <option value="">The first of all</option>
              {fields
                .filter(({ type }) => type === 'terms')
                .map(({ key, label }) => (
                  <option key={key} value={key}>
                    The first with some {label}
                  </option>
                ))}
            </select>
          </section>
          {field !== '' && (
            <TermCondition
              source={source}
              field={fields.find(({ key }) => key === field)}
              fieldKey={field}
              is={nothing.where[0]?.is ?? []}
              onChange={(is) => {
                setBegun(field);
                set({ where: is.length === 0 ? [] : [{ field, is }] });
              }}
              onRemove={() => {
                setBegun('');
                if (nothing.where.length > 0) set({ where: [] });
              }}
            />
          )}
        </>
      )}
    </>
  );
}
