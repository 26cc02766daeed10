import { typeLevels, type Lens, type Type, type TypeLevel } from '@ivy/core';
import { useState, type ReactNode } from 'react';
import { setType } from './edits.js';
import { Reset, Slider } from './setting.js';

const levels: Record<TypeLevel, string> = {
  all: 'All of it',
  facet: 'Names of facets',
  term: 'Terms',
  child: 'Terms below others',
  deeper: 'Terms further below',
  count: 'Counts',
  title: 'Titles of cards',
  text: 'Summaries',
  facts: 'Dates and figures',
  chip: 'Chips',
  total: 'The count line',
};
const cases: Record<NonNullable<Type['case']>, string> = {
  none: 'as written',
  upper: 'CAPITALS',
  lower: 'small letters',
  title: 'Each Word',
  'small-caps': 'small capitals',
};

interface Props {
  lens: Lens;
  onEdit: (lens: Lens, topic?: string) => void;
}

/** How texts are set, level by level. All that is left alone is the page's own. */
export function TypeWiring({ lens, onEdit }: Props) {
  const [level, setLevel] = useState<TypeLevel>('all');
  const type = lens.look.type[level] ?? {};
  const set = <N extends keyof Type>(name: N, value: Type[N]) =>
    onEdit(setType(lens, level, name, value), `type ${level} ${name}`);
  const row = (name: keyof Type, label: string, control: ReactNode) => (
    <Row
      key={name}
      label={label}
      onReset={type[name] === undefined ? null : () => onEdit(setType(lens, level, name, undefined))}
    >
      {control}
    </Row>
  );
  return (
    <section className="section">
      <label className="flex items-center justify-between gap-3">
        <span className="eyebrow">Type</span>
        <select
          className="field w-[190px]"
          aria-label="Text to set"
          value={level}
          onChange={(event) => setLevel(event.target.value as TypeLevel)}
        >
          {typeLevels.map((one) => (
            <option key={one} value={one}>
              {levels[one]}
              {lens.look.type[one] ? ' •' : ''}
            </option>
          ))}
        </select>
      </label>
      <p className="my-1.5 text-[13px] text-ink-3">What you leave alone is your page’s own.</p>
      <div key={level} className="grid gap-1.5">
        {row('family', 'Font', <Family value={type.family ?? ''} onSet={(family) => set('family', family)} />)}
        {row(
          'size',
          'Size',
          <Slider
            label="Size"
            value={type.size ?? 100}
            min={60}
            max={200}
            step={5}
            unit="%"
            onChange={(size) => set('size', size)}
          />,
        )}
        {row(
          'weight',
          'Weight',
          <Slider
            label="Weight"
            value={type.weight ?? 400}
            min={100}
            max={900}
            step={50}
            unit=""
            onChange={(weight) => set('weight', weight)}
          />,
        )}
        {row(
          'line',
          'Lines',
          <Slider
            label="Height of lines"
            value={type.line ?? 140}
            min={90}
            max={220}
            step={5}
            unit="%"
            onChange={(line) => set('line', line)}
          />,
        )}
        {row(
          'spacing',
          'Letters',
          <Slider
            label="Room between letters"
            value={type.spacing ?? 0}
            min={-50}
            max={200}
            step={5}
            unit="‰"
            onChange={(spacing) => set('spacing', spacing)}
          />,
        )}
        {row(
          'case',
          'Case',
          <select
            className="field w-full"
            aria-label="Case"
            value={type.case ?? ''}
            onChange={({ target: { value } }) => set('case', value === '' ? undefined : (value as Type['case']))}
          >
            <option value="">the page’s own</option>
            {Object.entries(cases).map(([one, words]) => (
              <option key={one} value={one}>
                {words}
              </option>
            ))}
          </select>,
        )}
        {row(
          'colour',
          'Colour',
          <input
            type="color"
            className="h-[24px] w-[44px] rounded-[3px] border border-rule-2 bg-raised p-[2px]"
            aria-label="Colour of the text"
            value={type.colour ?? '#000000'}
            onChange={(event) => set('colour', event.target.value)}
          />,
        )}
      </div>
    </section>
  );
}

function Row({ label, onReset, children }: { label: string; onReset: (() => void) | null; children: ReactNode }) {
  return (
    <div className="grid min-h-[28px] grid-cols-[52px_minmax(0,1fr)_24px] items-center gap-2">
      <span className="text-[13.5px] text-ink-2">{label}</span>
      {children}
      {onReset ? <Reset of={label} onReset={onReset} /> : <span />}
    </div>
  );
}

const familyForm = /^[\p{L}\p{N} ,'"_-]+$/u;

function Family({ value, onSet }: { value: string; onSet: (family: string | undefined) => void }) {
  const [text, setText] = useState(value);
  const wrong = text.trim() !== '' && !familyForm.test(text);
  const done = () => {
    if (wrong || text.trim() === value) return;
    onSet(text.trim() === '' ? undefined : text.trim());
  };
  return (
    <span>
      <input
        className="field w-full"
        aria-label="Font"
        aria-invalid={wrong}
        placeholder="the page’s own"
        value={text}
        maxLength={200}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
        onBlur={done}
        onKeyDown={(event) => {
          if (event.key === 'Enter') done();
        }}
      />
      {wrong && <span className="block text-[12.5px] text-rust">Names of fonts with commas between.</span>}
    </span>
  );
}
