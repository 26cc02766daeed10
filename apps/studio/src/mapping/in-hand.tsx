import type { Mark, MarkName } from '@ivy/core';
import { Trash2 } from 'lucide-react';
import { useId, type ReactNode } from 'react';
import { hueAttribute, Seed } from '../shared/seed.js';
import { placeOf, roleOf } from './marks.js';
import type { ControlReading, FieldReading, PageReading } from './read-pages.js';
import { placeWords, typeWords } from './words.js';

export interface HandProps {
  mark: Mark;
  label: string;
  hue: number | null;
  reading: PageReading;
  field: FieldReading | undefined;
  control: ControlReading | undefined;
  /** What the mark finds on the page. */
  found: number;
  onChange: (says: Partial<Record<MarkName, string | undefined>>) => void;
  onMove: (at: string) => void;
  onRename: (name: string) => void;
  onRemove: () => void;
}

/** The mark in hand: what it says, and what it meets. */
export function InHand(props: HandProps) {
  const { mark, label, hue, found, onMove, onRemove } = props;
  const role = roleOf(mark);
  const what = {
    list: 'the list',
    item: 'an item',
    field: 'a field',
    control: 'a control of the page',
    place: 'a place',
    detail: '',
  };
  return (
    <div {...(hue ? hueAttribute(hue) : {})}>
      <header
        className={`flex items-center gap-2.5 border-b border-rule px-4 py-3 ${hue ? 'bg-hue-ground' : 'bg-raised'}`}
      >
        {hue && <Seed hue={hue} size={16} />}
        <h2 className="serif min-w-0 truncate text-[20px] font-semibold">{label}</h2>
        <span className="remark shrink-0 text-ink-2">{what[role]}</span>
        {role !== 'list' && role !== 'item' && (
          <button
            type="button"
            className="icon-button ms-auto"
            aria-label={`Take the mark of ${label} away`}
            title="Take away"
            onClick={onRemove}
          >
            <Trash2 size={15} />
          </button>
        )}
      </header>
      {found === 0 && (
        <p className="border-b border-rule bg-rust-soft px-4 py-2.5 text-rust" role="status">
          <b>Gone from the page.</b> Nothing there is what this mark looks for. Press it anew, or write where it is now.
        </p>
      )}
      {role === 'field' && <FieldSettings {...props} />}
      {role === 'control' && <ControlSettings {...props} />}
      {role === 'place' && <PlaceSettings {...props} />}
      <Row label="Where it is">
        {(id) => (
          <input
            id={id}
            key={mark.at}
            className="field mono h-[28px] w-full text-[12px]"
            defaultValue={mark.at}
            spellCheck={false}
            maxLength={500}
            onBlur={({ target }) =>
              target.value.trim() !== '' && target.value !== mark.at && onMove(target.value.trim())
            }
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Row>
      <p className="px-4 pb-3 text-[13px] text-ink-2">
        {mark.in === 'item'
          ? `in ${found} of ${props.reading.perPage[0] ?? 0} items on this page`
          : `${found} on this page`}
      </p>
    </div>
  );
}

function Row({ label, children }: { label: string; children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div className="grid grid-cols-[84px_minmax(0,1fr)] items-center gap-2 px-4 py-2">
      <label htmlFor={id} className="text-[13px] font-semibold">
        {label}
      </label>
      {children(id)}
    </div>
  );
}

function FieldSettings({ mark, field, reading, onChange, onRename }: HandProps) {
  const { says } = mark;
  const total = reading.items.length;
  return (
    <>
      <Row label="Name">
        {(id) => (
          <input
            id={id}
            key={says.field}
            className="field h-[28px] w-full"
            defaultValue={says.field}
            maxLength={60}
            onBlur={({ target }) => target.value.trim() !== '' && onRename(target.value.trim())}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Row>
      <Row label="Reads as">
        {(id) => (
          <select
            id={id}
            className="field h-[28px] w-full"
            value={says.type ?? ''}
            onChange={({ target }) => onChange({ type: target.value || undefined })}
          >
            <option value="">{`what it looks like: ${(field && typeWords[field.type]) ?? 'text'}`}</option>
            {(['text', 'terms', 'date', 'number', 'boolean'] as const).map((type) => (
              <option key={type} value={type}>
                {typeWords[type]}
              </option>
            ))}
          </select>
        )}
      </Row>
      <Row label="Parted by">
        {(id) => (
          <input
            id={id}
            key={says.split ?? ''}
            className="field mono h-[28px] w-16"
            defaultValue={says.split ?? ''}
            placeholder="none"
            maxLength={5}
            onBlur={({ target }) => onChange({ split: target.value.trim() || undefined })}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Row>
      <Row label="Takes">
        {(id) => (
          <select
            id={id}
            className="field h-[28px] w-full"
            value={says.from ?? ''}
            onChange={({ target }) => onChange({ from: target.value || undefined })}
          >
            <option value="">its text</option>
            {[
              ...new Set(['href', 'src', 'alt', 'title', 'datetime', 'data-value', ...(says.from ? [says.from] : [])]),
            ].map((name) => (
              <option key={name} value={name}>{`its ${name}`}</option>
            ))}
          </select>
        )}
      </Row>
      {field && (
        <section className="border-t border-rule px-4 py-3">
          <p className="flex items-baseline justify-between">
            <b>{field.filled === total ? `In all ${total} items` : `In ${field.filled} of ${total} items`}</b>
            {field.lacks.length > 0 && (
              <span className="text-[13px] text-rust">
                none in{' '}
                {field.lacks
                  .slice(0, 4)
                  .map((at) => at + 1)
                  .join(', ')}
                {field.lacks.length > 4 && ' …'}
              </span>
            )}
          </p>
          <Bar part={field.filled} of={total} />
          <ul className="mt-2">
            {field.terms.slice(0, 12).map(({ label, count }) => (
              <li key={label} className="flex items-center gap-2 py-0.5">
                <span className="truncate">{label}</span>
                <span
                  className="ms-auto h-[7px] rounded-[1px] bg-hue-half"
                  style={{ width: `${(count / (field.terms[0]?.count ?? 1)) * 70}px` }}
                />
                <span className="w-8 text-end text-ink-2">{count}</span>
              </li>
            ))}
            {field.terms.length === 0 &&
              field.samples.slice(0, 4).map((one) => (
                <li key={one} className="truncate py-0.5 text-ink-2">
                  {one}
                </li>
              ))}
          </ul>
          {field.terms.length > 12 && <p className="remark mt-1 text-ink-3">and {field.terms.length - 12} more</p>}
        </section>
      )}
    </>
  );
}

function Bar({ part, of }: { part: number; of: number }) {
  return (
    <div className="mt-1.5 h-[4px] bg-rust-soft" aria-hidden="true">
      <div className="h-full bg-hue" style={{ width: `${of === 0 ? 0 : (part / of) * 100}%` }} />
    </div>
  );
}

function ControlSettings({ mark, control, reading, onChange }: HandProps) {
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

function PlaceSettings({ mark, onChange, reading }: HandProps) {
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
