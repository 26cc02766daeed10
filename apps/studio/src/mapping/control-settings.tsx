import type { MarkName } from '@ivy/core';
import { Row, type HandProps } from './hand-parts.js';

/** What a control drives, and which of its values the items have. */
export function ControlSettings({ mark, control, reading, onChange }: HandProps) {
  const { says } = mark;
  if (says.sort !== undefined) {
    return (
      <p className="px-4 pt-3 text-[13px] text-ink-2">{`${reading.orders} of its orders are read. An order is a field, a colon, and asc or desc.`}</p>
    );
  }
  const isSearch = says.search !== undefined;
  const isOurs = says.facet !== undefined;
  const setting: MarkName = isSearch ? 'search' : isOurs ? 'facet' : 'reads';
  const missed = control?.values.filter(({ term }) => term === null).length ?? 0;
  const mayBeAll = control?.kind === 'checkboxes' || (isOurs && (says.kind ?? 'checkboxes') === 'checkboxes');
  return (
    <>
      <Row label={isSearch ? 'Looks in' : 'Drives'}>
        {(id) => (
          <select
            id={id}
            className="field h-[28px] w-full"
            value={says[setting] ?? ''}
            onChange={({ target }) => onChange({ [setting]: target.value })}
          >
            <option value="">{isSearch ? 'all fields' : 'no field yet'}</option>
            {reading.fields.map(({ key }) => (
              <option key={key} value={key}>
                {key}
              </option>
            ))}
          </select>
        )}
      </Row>
      <Row label="Address">
        {(id) => (
          <span className="flex items-center gap-1">
            <input
              id={id}
              key={says.as ?? control?.key}
              className="field mono h-[28px] w-[120px] text-[12.5px]"
              defaultValue={says.as ?? control?.key ?? ''}
              maxLength={60}
              pattern="[a-z0-9_\-]+"
              onBlur={({ target }) =>
                target.checkValidity() &&
                target.value !== '' &&
                target.value !== control?.key &&
                onChange({
                  as: target.value,
                  was: [...(says.was?.split(' ') ?? []), control?.key ?? ''].join(' ').trim() || undefined,
                })
              }
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            />
            <span className="mono text-[12.5px] text-ink-3">=…</span>
          </span>
        )}
      </Row>
      {mayBeAll && (
        <Choice
          label="Match"
          value={says.match ?? 'any'}
          options={[
            ['any', 'any ticked'],
            ['all', 'all ticked'],
          ]}
          onChange={(value) => onChange({ match: value === 'all' ? 'all' : undefined })}
        />
      )}
      {isOurs && (
        <Choice
          label="Drawn as"
          value={says.kind ?? 'checkboxes'}
          options={[
            ['checkboxes', 'ticks'],
            ['radios', 'radios'],
            ['dropdown', 'dropdown'],
          ]}
          onChange={(value) => onChange({ kind: value === 'checkboxes' ? undefined : value })}
        />
      )}
      {!isSearch && says.reads !== '' && (
        <Choice
          label="Stands as"
          value={isOurs ? 'ours' : 'own'}
          options={[
            ['own', 'its own'],
            ['ours', 'ours, here'],
          ]}
          onChange={(value) =>
            onChange(
              value === 'ours'
                ? { facet: says.reads, reads: undefined, label: control?.key, as: says.as ?? control?.key }
                : { reads: says.facet, facet: undefined, label: undefined, kind: undefined },
            )
          }
        />
      )}
      {control && control.values.length > 0 && (
        <section className="border-t border-rule px-4 py-3">
          <p className="flex justify-between">
            <b>Values</b>
            <span className={missed > 0 ? 'font-semibold text-rust' : 'text-ink-2'}>
              {control.values.length - missed} of {control.values.length} meet
            </span>
          </p>
          <ul className="mt-1.5">
            {control.values.map(({ value, words, term, count }) => (
              <li
                key={value}
                className={`grid grid-cols-[minmax(0,1fr)_28px_minmax(0,1fr)_32px] items-center gap-1.5 py-0.5 ${term === null ? 'text-rust' : ''}`}
              >
                <span className="truncate">{words || value}</span>
                <Thread met={term !== null} />
                <span className="truncate">{term ?? 'none'}</span>
                <span className="text-end text-ink-2">{term === null ? '' : count}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** What a value of the page and one of the items are joined by: whole, or frayed. */
function Thread({ met }: { met: boolean }) {
  return (
    <svg viewBox="0 0 28 10" className={met ? 'text-hue' : 'text-rust'} aria-hidden="true">
      <circle cx="3" cy="5" r="2" fill="currentColor" />
      {met ? (
        <path d="M3 5h22" stroke="currentColor" />
      ) : (
        <path d="M3 5h7l3-3M10 5l3 3M10 5h4M25 5h-7" stroke="currentColor" fill="none" />
      )}
      <circle cx="25" cy="5" r="2" fill={met ? 'currentColor' : 'none'} stroke="currentColor" />
    </svg>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  options: readonly (readonly [value: string, words: string])[];
  onChange: (value: string) => void;
}

function Choice({ label, value, options, onChange }: ChoiceProps) {
  return (
    <fieldset className="grid grid-cols-[84px_minmax(0,1fr)] items-center gap-2 px-4 py-2">
      <legend className="float-start text-[13px] font-semibold">{label}</legend>
      <span className="flex">
        {options.map(([one, words]) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === value}
            className={`-ms-px h-[28px] flex-1 border px-2 first:ms-0 ${one === value ? 'z-10 border-ivy bg-ivy-soft font-semibold text-ivy' : 'border-rule-2 bg-raised'}`}
            onClick={() => onChange(one)}
          >
            {words}
          </button>
        ))}
      </span>
    </fieldset>
  );
}
