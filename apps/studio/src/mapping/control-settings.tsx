import type { MarkName } from '@ivy/core';
import { Segments } from '../shared/segments.js';
import { Row, type HandProps } from './hand-parts.js';

const drawnAs = { checkboxes: 'ticks', radios: 'radios', dropdown: 'dropdown' };

/** What a control drives, and which of its values the items have. */
export function ControlSettings({ mark, label, control, reading, onChange }: HandProps) {
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
        <Ways
          label="Match"
          value={says.match === 'all' ? 'all' : 'any'}
          ways={{ any: 'any ticked', all: 'all ticked' }}
          onPick={(value) => onChange({ match: value === 'all' ? 'all' : undefined })}
        />
      )}
      {isOurs && (
        <Ways
          label="Drawn as"
          value={(says.kind ?? 'checkboxes') as keyof typeof drawnAs}
          ways={drawnAs}
          onPick={(value) => onChange({ kind: value === 'checkboxes' ? undefined : value })}
        />
      )}
      {!isSearch && says.reads !== '' && (
        <Ways
          label="Stands as"
          value={isOurs ? 'ours' : 'own'}
          ways={{ own: 'its own', ours: 'ours, here' }}
          onPick={(value) =>
            onChange(
              value === 'ours'
                ? { facet: says.reads, reads: undefined, label, as: says.as ?? control?.key }
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

/** A few ways with what they are for before them. */
function Ways<V extends string>(props: Parameters<typeof Segments<V>>[0]) {
  return (
    <div className="grid grid-cols-[84px_minmax(0,1fr)] items-center gap-2 px-4 py-2">
      <span className="text-[13px] font-semibold" aria-hidden="true">
        {props.label}
      </span>
      <Segments {...props} />
    </div>
  );
}
