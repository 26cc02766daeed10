import {
  fieldRoles,
  type Answers,
  type FieldChange,
  type FieldDescription,
  type FieldRole,
  type FieldType,
} from '@ivy/core';
import { useState, type ReactNode } from 'react';
import { Named } from '../shared/named.js';
import { Choice } from './choice.js';
import { ReferenceSettings } from './reference-settings.js';

interface Props {
  field: FieldDescription;
  /** All fields of its source. */
  fields: readonly FieldDescription[];
  /** Slug of its source. */
  source: string;
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
  ['reference', 'Stands for'],
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
export function FieldSettings({ field, fields, source, change, types, onChange }: Props) {
  const now = { ...field, ...change };
  const { type, left = false } = now;
  const [isReferring, setReferring] = useState(false);
  const choose = (one: FieldType) => {
    setReferring(false);
    onChange({ type: one, left: false, ...(field.reference && { reference: null }) });
  };
  const others = fields.filter(({ key }) => key !== field.key);
  const named = (all: readonly FieldDescription[]) => all.map(({ key, label }) => [key, label] as const);
  return (
    <>
      <div className="mt-3 flex flex-wrap" role="group" aria-label="Read as">
        {typeNames.map(([one, name]) => (
          <Segment
            key={one}
            isOn={!left && (isReferring ? one === 'reference' : type === one)}
            count={types?.[one] ?? null}
            onPress={() => (one === 'reference' ? setReferring(true) : choose(one))}
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
            {(now.pathSeparator ?? null) === null && (
              <Choice
                label="Stands under"
                value={now.parent ?? ''}
                options={[['', 'nothing: no tree'], ...named(others)]}
                onChange={(parent) => onChange({ parent: parent === '' ? null : parent })}
              />
            )}
          </>
        )}
        {(type === 'date' || type === 'datetime') && !left && (
          <Choice
            label="Lasts until"
            value={now.end ?? ''}
            options={[
              ['', 'the same day'],
              ...named(others.filter((one) => one.type === 'date' || one.type === 'datetime')),
            ]}
            onChange={(end) => onChange({ end: end === '' ? null : end })}
          />
        )}
        {type === 'number' && !left && (
          <Text
            label="Unit"
            value={now.unit ?? ''}
            most={12}
            hint="none, or min, km …"
            onChange={(unit) => onChange({ unit: unit === '' ? null : unit })}
          />
        )}
        {type === 'boolean' && !left && (
          <>
            <Words
              label="Means yes"
              words={now.words?.yes ?? []}
              onChange={(yes) => onChange(wordsWith(now, { yes }))}
            />
            <Words label="Means no" words={now.words?.no ?? []} onChange={(no) => onChange(wordsWith(now, { no }))} />
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
      {(isReferring || type === 'reference') && !left && (
        <ReferenceSettings
          own={source}
          reference={now.reference ?? null}
          onChange={(reference) => {
            setReferring(false);
            onChange({ reference, left: false });
          }}
        />
      )}
    </>
  );
}

/** Words for yes and no with some of them changed; null where none are left. */
function wordsWith({ words }: FieldChange, more: Partial<Answers>): FieldChange {
  const made = { yes: [], no: [], ...words, ...more };
  return { words: made.yes.length + made.no.length === 0 ? null : made };
}

function Words({
  label,
  words,
  onChange,
}: {
  label: string;
  words: readonly string[];
  onChange: (words: string[]) => void;
}) {
  return (
    <Text
      label={label}
      value={words.join(', ')}
      most={500}
      hint="words of its own, with commas between"
      onChange={(text) =>
        onChange(
          text
            .split(',')
            .map((word) => word.trim())
            .filter((word) => word !== ''),
        )
      }
    />
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
