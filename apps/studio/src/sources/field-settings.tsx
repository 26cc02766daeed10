import { fieldRoles, type FieldChange, type FieldDescription, type FieldRole, type FieldType } from '@ivy/core';
import type { ReactNode } from 'react';
import { Named } from '../shared/named.js';

interface Props {
  field: FieldDescription;
  change: FieldChange;
  /** How many values each type can read; null until that is known. */
  types: Record<string, number> | null;
  onChange: (change: FieldChange) => void;
}

const typeNames: readonly (readonly [FieldType, string])[] = [
  ['text', 'Text'],
  ['terms', 'Terms'],
  ['date', 'Day'],
  ['datetime', 'Day and hour'],
  ['number', 'Number'],
  ['boolean', 'Yes or no'],
  ['link', 'Link'],
  ['image', 'Picture'],
  ['html', 'Formatted'],
];

const roleNames: Record<FieldRole, string> = {
  id: 'the key',
  title: 'the title',
  summary: 'the summary',
  body: 'the full text',
  link: 'opens the post',
  image: 'the picture',
  published: 'the day it was published',
  author: 'the author',
};

/** How a field is read: each type with how many values it can read before one presses. */
export function FieldSettings({ field, change, types, onChange }: Props) {
  const now = { ...field, ...change };
  const { type, left = false } = now;
  return (
    <>
      <div className="mt-3 flex flex-wrap" role="group" aria-label="Read as">
        {typeNames.map(([one, name]) => (
          <Segment
            key={one}
            isOn={!left && type === one}
            count={types?.[one] ?? null}
            onPress={() => onChange({ type: one, left: false })}
          >
            {name}
          </Segment>
        ))}
        <Segment isOn={left} count={null} isDisabled={field.role === 'id'} onPress={() => onChange({ left: true })}>
          Left out
        </Segment>
      </div>
      <div className="mt-4 grid gap-x-6 gap-y-2.5 sm:grid-cols-2">
        <Text label="Called" value={now.label} most={120} onChange={(label) => label !== '' && onChange({ label })} />
        <Choice
          label="Is"
          value={now.role ?? ''}
          options={[
            ['', 'a field among others'],
            ...fieldRoles
              .filter((role) => role !== 'id' || field.role === 'id')
              .map((role) => [role, roleNames[role]] as const),
          ]}
          isDisabled={field.role === 'id'}
          onChange={(role) => onChange({ role: role === '' ? null : (role as FieldRole) })}
        />
        {type === 'terms' && !left && (
          <>
            <Text
              label="Parted by"
              value={now.separator ?? ''}
              most={5}
              hint="one value each"
              onChange={(sign) => onChange({ separator: sign === '' ? null : sign })}
            />
            <Text
              label="Branches by"
              value={now.pathSeparator ?? ''}
              most={5}
              hint="no tree"
              onChange={(sign) => onChange({ pathSeparator: sign === '' ? null : sign })}
            />
          </>
        )}
        {type === 'date' && !left && (
          <Choice
            label="03/04 is"
            value={now.dateOrder ?? ''}
            options={[
              ['', 'as the values look'],
              ['day-month', '3 April'],
              ['month-day', '4 March'],
            ]}
            onChange={(order) => onChange({ dateOrder: order === '' ? null : (order as 'day-month' | 'month-day') })}
          />
        )}
      </div>
    </>
  );
}

interface SegmentProps {
  isOn: boolean;
  count: number | null;
  isDisabled?: boolean;
  onPress: () => void;
  children: ReactNode;
}

function Segment({ isOn, count, isDisabled = false, onPress, children }: SegmentProps) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      disabled={isDisabled}
      className={`-ms-px -mt-px h-[32px] border px-2.5 text-[13.5px] disabled:text-ink-3 ${isOn ? 'z-10 border-hue bg-hue-ground font-semibold text-hue-text' : 'border-rule-2 bg-paper hover:bg-raised'}`}
      onClick={onPress}
    >
      {children}
      {count !== null && <span className={`serif ms-1.5 text-[14px] ${count === 0 ? 'text-ink-3' : ''}`}>{count}</span>}
    </button>
  );
}

interface TextProps {
  label: string;
  value: string;
  most: number;
  hint?: string;
  onChange: (value: string) => void;
}

function Text({ label, value, most, hint, onChange }: TextProps) {
  return (
    <Named label={label}>
      {(id) => (
        <input
          id={id}
          key={value}
          className={`field h-[30px] ${most < 10 ? 'mono w-24' : 'w-full'}`}
          defaultValue={value}
          maxLength={most}
          placeholder={hint}
          onBlur={({ target }) => target.value.trim() !== value && onChange(target.value.trim())}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
      )}
    </Named>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  options: readonly (readonly [value: string, words: string])[];
  isDisabled?: boolean;
  onChange: (value: string) => void;
}

function Choice({ label, value, options, isDisabled = false, onChange }: ChoiceProps) {
  return (
    <Named label={label}>
      {(id) => (
        <select
          id={id}
          className="field h-[30px] w-full"
          value={value}
          disabled={isDisabled}
          onChange={({ target }) => onChange(target.value)}
        >
          {options.map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Named>
  );
}
