import { FacetKeys, sortLabel, type FieldDescription, type Lens, type SortOption } from '@ivy/core';
import { Plus, X } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import { Toggle } from '../wiring-parts.js';
import { MoveButtons, type ResultsProps } from './parts.js';

type SortKey = SortOption['then'][number];

/** The orders visitors may choose, and which comes first. Each may have several keys: where two posts are alike in one, the next tells. */
export function OrderWiring({ lens, fields, onEdit }: ResultsProps) {
  const { options } = lens.sort;
  const setOptions = (next: SortOption[], topic?: string) =>
    onEdit({ ...lens, sort: { ...lens.sort, options: next, default: withDefault(lens, next) } }, topic);
  const change = (at: number, next: Partial<SortOption>, topic?: string) =>
    setOptions(
      options.map((one, i) => (i === at ? { ...one, ...next } : one)),
      topic,
    );
  const move = (at: number, by: -1 | 1) => {
    const next = [...options];
    const [one] = next.splice(at, 1);
    next.splice(at + by, 0, one!);
    setOptions(next);
  };
  return (
    <>
      {options.length === 0 && <p className="section text-ink-2">Posts stand newest first.</p>}
      <ul aria-label="Orders">
        {options.map((option, at) => (
          <Option
            key={option.key}
            option={option}
            fields={fields}
            label={sortLabel(option, fields, lens)}
            isFirst={(lens.sort.default || options[0]!.key) === option.key}
            canMove={[at > 0, at < options.length - 1]}
            onFirst={() => onEdit({ ...lens, sort: { ...lens.sort, default: option.key } })}
            onChange={(next, topic) => change(at, next, topic)}
            onMove={(by) => move(at, by)}
            onRemove={() => setOptions(options.filter((_, i) => i !== at))}
          />
        ))}
      </ul>
      <section className="section">
        <select
          className="field w-full"
          aria-label="Add an order"
          value=""
          onChange={(event) => setOptions([...options, optionFor(event.target.value, lens, fields)])}
        >
          <option value="">Add an order…</option>
          <option value="~relevance">best match</option>
          <option value="~shuffle">shuffled, anew each day</option>
          {fields.map(({ key, label }) => (
            <option key={key} value={key}>
              by {label}
            </option>
          ))}
        </select>
      </section>
      <section className="section">
        <Toggle
          label="Best match while searching"
          hint="Unless a visitor chooses another order."
          on={lens.sort.relevanceWhenSearching}
          onFlip={(relevanceWhenSearching) => onEdit({ ...lens, sort: { ...lens.sort, relevanceWhenSearching } })}
        />
      </section>
    </>
  );
}

/** The first order, as long as it is there. */
function withDefault(lens: Lens, options: readonly SortOption[]): string {
  return options.some(({ key }) => key === lens.sort.default) ? lens.sort.default : '';
}

function optionFor(value: string, lens: Lens, fields: readonly FieldDescription[]): SortOption {
  const keys = new FacetKeys(lens.sort.options.map(({ key }) => key));
  const plain = { field: '', order: 'asc' as const, aliases: [], then: [] };
  if (value === '~relevance') return { ...plain, key: keys.make('relevance'), label: 'Best match', by: 'relevance' };
  if (value === '~shuffle') return { ...plain, key: keys.make('shuffled'), label: 'Shuffled', by: 'shuffle' };
  const field = fields.find(({ key }) => key === value)!;
  const isDay = field.type === 'date' || field.type === 'datetime';
  return {
    ...plain,
    key: keys.make(field.key),
    label: field.label,
    by: 'field',
    field: field.key,
    order: isDay ? 'desc' : 'asc',
  };
}

interface OptionProps {
  option: SortOption;
  /** What it is called, its own label or not. */
  label: string;
  fields: readonly FieldDescription[];
  isFirst: boolean;
  canMove: [up: boolean, down: boolean];
  onFirst: () => void;
  onChange: (change: Partial<SortOption>, topic?: string) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}

function Option({ option, label, fields, isFirst, canMove, onFirst, onChange, onMove, onRemove }: OptionProps) {
  const { by } = option;
  const keys: SortKey[] = [{ field: option.field, order: option.order }, ...option.then];
  const setKeys = ([first, ...then]: SortKey[]) => onChange({ field: first!.field, order: first!.order, then });
  const press = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (!event.altKey || step === 0 || !canMove[step < 0 ? 0 : 1]) return;
    event.preventDefault();
    onMove(step);
  };
  return (
    <li className="section" data-order={option.key} onKeyDown={press}>
      <div className="flex items-center gap-1.5">
        <input
          className="field min-w-0 flex-1"
          aria-label={`Name of the order ${label}`}
          value={option.label}
          placeholder={label}
          maxLength={120}
          onChange={(event) => onChange({ label: event.target.value }, `order ${option.key}`)}
        />
        <MoveButtons label={label} canMove={canMove} onMove={onMove} />
        <button type="button" className="icon-button" aria-label={`Delete the order ${label}`} onClick={onRemove}>
          <X size={14} />
        </button>
      </div>
      {by === 'field' ? (
        <Keys keys={keys} fields={fields} name={label} onChange={setKeys} />
      ) : (
        <p className="mt-1.5 text-[13px] text-ink-2">
          {by === 'relevance' ? 'What fits the search best stands first.' : 'Another order each day, the same all day.'}
        </p>
      )}
      <label className="mt-1.5 flex items-center gap-2 text-[13px]">
        <input
          type="radio"
          className="radio radio-xs"
          checked={isFirst}
          aria-label={`${label} first`}
          onChange={onFirst}
        />
        in use at first
      </label>
    </li>
  );
}

/** What posts are put in order by, one after the other. Posts without a value come last either way. */
function Keys({
  keys,
  fields,
  name,
  onChange,
}: {
  keys: readonly SortKey[];
  fields: readonly FieldDescription[];
  name: string;
  onChange: (keys: SortKey[]) => void;
}) {
  const set = (at: number, change: Partial<SortKey>) =>
    onChange(keys.map((one, i) => (i === at ? { ...one, ...change } : one)));
  return (
    <ol className="mt-1.5 grid gap-1" aria-label={`Keys of ${name}`}>
      {keys.map(({ field, order }, at) => (
        <li key={at} className="flex items-center gap-1.5 text-[13px]">
          <span className="w-[46px] text-ink-3">{at === 0 ? 'by' : 'then by'}</span>
          <select
            className="field h-[27px] min-w-0 flex-1"
            aria-label={`Key ${at + 1} of ${name}`}
            value={field}
            onChange={(event) => set(at, { field: event.target.value })}
          >
            {fields.map(({ key, label }) => (
              <option key={key} value={key}>
                {label}
              </option>
            ))}
          </select>
          <button
            type="button"
            className="pick h-[27px] px-1.5"
            aria-label={`${order === 'asc' ? 'Ascending' : 'Descending'}: key ${at + 1} of ${name}`}
            title={order === 'asc' ? 'A to Z, oldest, least first' : 'Z to A, newest, most first'}
            onClick={() => set(at, { order: order === 'asc' ? 'desc' : 'asc' })}
          >
            {order === 'asc' ? 'ascending' : 'descending'}
          </button>
          {at > 0 && (
            <button
              type="button"
              className="icon-button"
              aria-label={`Delete key ${at + 1} of ${name}`}
              onClick={() => onChange(keys.filter((_, i) => i !== at))}
            >
              <X size={13} />
            </button>
          )}
        </li>
      ))}
      {keys.length < 5 && (
        <li>
          <button
            type="button"
            className="link flex items-center gap-1 text-[13px]"
            aria-label={`Where alike, by another: ${name}`}
            onClick={() => onChange([...keys, { field: nextField(keys, fields), order: 'asc' }])}
          >
            <Plus size={12} /> where alike, by another
          </button>
        </li>
      )}
    </ol>
  );
}

/** A field that is no key yet. */
function nextField(keys: readonly SortKey[], fields: readonly FieldDescription[]): string {
  const free = fields.filter(({ key, role }) => role !== 'id' && !keys.some((one) => one.field === key));
  return (free.find(({ role }) => role === 'title') ?? free[0] ?? fields[0]!).key;
}
