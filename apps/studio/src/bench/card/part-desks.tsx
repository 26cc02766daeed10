import type { CardPart, CardPartOf, FieldDescription, PartName } from '@ivy/core';
import type { ComponentType } from 'react';
import { Choice, MostRow, NumberBox } from '../results/parts.js';

/** What the settings of a part are given. */
export interface PartProps<P extends CardPart = CardPart> {
  part: P;
  fields: readonly FieldDescription[];
  onChange: (change: Partial<P>, topic?: string) => void;
}

/** A part of a card as the Bench has it in hand. One object a part. */
interface PartDesk<P extends CardPart> {
  name: string;
  /** A small drawing of it on a card, 24 by 24. */
  drawing: string;
  /** The settings only it has. */
  Own?: ComponentType<PartProps<P>>;
  /** Whether words can stand before and after it. */
  takesWords: boolean;
}

export const partDesks: { [K in PartName]: PartDesk<CardPartOf<K>> } = {
  picture: {
    name: 'Picture',
    drawing: 'M3 5h18v14H3zM3 16l6-6 5 5 3-3 4 4M16 9h.01',
    takesWords: false,
    Own: ({ part, fields, onChange }) => (
      <>
        <Choice
          label="Shape"
          choices={(['2/1', '16/9', '3/2', '4/3', '1/1', '3/4'] as const).map((aspect) => [
            aspect,
            <Shape key={aspect} aspect={aspect} />,
          ])}
          value={part.aspect}
          onPick={(aspect) => onChange({ aspect })}
        />
        <Choice
          label="In its place"
          choices={[
            ['cover', 'fills it'],
            ['contain', 'stands whole'],
          ]}
          value={part.fit}
          onPick={(fit) => onChange({ fit })}
        />
        <Choice
          label="Stands"
          choices={[
            ['top', 'above the words'],
            ['side', 'beside them'],
          ]}
          value={part.place}
          onPick={(place) => onChange({ place })}
        />
        <FieldPick
          label="Read aloud from"
          none="nothing: the title says it"
          fields={fields.filter(({ type }) => type === 'text')}
          value={part.alt}
          onPick={(alt) => onChange({ alt })}
        />
        <Choice
          label="Where a post has none"
          choices={[
            ['nothing', 'the words move up'],
            ['drawing', 'a quiet drawing'],
          ]}
          value={part.whenEmpty}
          onPick={(whenEmpty) => onChange({ whenEmpty })}
        />
        <PictureSizes part={part} fields={fields} onChange={onChange} />
      </>
    ),
  },
  title: {
    name: 'Title',
    drawing: 'M4 7V5h16v2M12 5v14M9 19h6',
    takesWords: false,
    Own: ({ part, onChange }) => (
      <>
        <Choice
          label="Heading level"
          choices={['2', '3', '4', '5', '6', '0'].map((level) => [level, level === '0' ? 'none' : level] as const)}
          value={String(part.level)}
          onPick={(level) => onChange({ level: Number(level) })}
        />
        <MostRow
          label="Lines at most"
          id="part-lines"
          max={6}
          value={part.lines}
          onChange={(lines) => onChange({ lines })}
        />
      </>
    ),
  },
  text: {
    name: 'Text',
    drawing: 'M4 6h16M4 10h16M4 14h16M4 18h9',
    takesWords: true,
    Own: ({ part, fields, onChange }) => (
      <>
        <FieldPick
          label="Where it is empty"
          none="nothing"
          fields={fields.filter(({ key, type }) => (type === 'text' || type === 'html') && key !== part.field)}
          value={part.orElse}
          onPick={(orElse) => onChange({ orElse })}
        />
        <MostRow
          label="Characters at most"
          id="part-characters"
          max={2000}
          value={part.characters}
          onChange={(characters) => onChange({ characters })}
        />
        <MostRow
          label="Lines at most"
          id="part-lines"
          max={12}
          value={part.lines}
          onChange={(lines) => onChange({ lines })}
        />
      </>
    ),
  },
  date: {
    name: 'Date',
    drawing: 'M4 6h16v14H4zM4 10h16M8 3v4M16 3v4',
    takesWords: true,
    Own: ({ part, onChange }) => (
      <Choice
        label="Written"
        choices={dateStyles.map((style) => [style, written(style)] as const)}
        value={part.style}
        onPick={(style) => onChange({ style })}
      />
    ),
  },
  terms: {
    name: 'Terms',
    drawing: 'M3 8h8v8H3zM13 8h8v8h-8z',
    takesWords: false,
    Own: ({ part, onChange }) => (
      <>
        <Choice
          label="As"
          choices={[
            ['labels', 'labels'],
            ['text', 'text'],
            ['links', 'links'],
          ]}
          value={part.as}
          hint={part.as === 'links' ? 'A press chooses the term, where a facet has it.' : undefined}
          onPick={(as) => onChange({ as })}
        />
        <MostRow label="At most" id="part-most" max={20} value={part.most} onChange={(most) => onChange({ most })} />
      </>
    ),
  },
  number: { name: 'Number', drawing: 'M8 4v16M16 4v16M4 9h16M4 15h16', takesWords: true },
  'yes-no': {
    name: 'Yes or no',
    drawing: 'M4 12l5 5L20 6',
    takesWords: true,
    Own: ({ part, onChange }) => (
      <Choice
        label="As"
        choices={[
          ['fact', 'a word among others'],
          ['badge', 'a badge'],
        ]}
        value={part.as}
        onPick={(as) => onChange({ as })}
      />
    ),
  },
  'reading-time': {
    name: 'Reading time',
    drawing: 'M12 4a8 8 0 1 0 0 16a8 8 0 0 0 0-16M12 8v4l3 2',
    takesWords: true,
    Own: ({ part, fields, onChange }) => (
      <>
        <FieldPick
          label="Minutes from"
          none="none: count words"
          fields={fields.filter(({ type }) => type === 'number')}
          value={part.field}
          onPick={(field) => onChange({ field })}
        />
        <FieldPick
          label="Words counted in"
          none="nothing"
          fields={fields.filter(({ type }) => type === 'text' || type === 'html')}
          value={part.from}
          onPick={(from) => onChange({ from })}
        />
      </>
    ),
  },
  mark: { name: 'Mark', drawing: 'M7 4h10v16l-5-4-5 4z', takesWords: true },
  value: { name: 'Any value', drawing: 'M4 12h16M7 8l-3 4 3 4M17 8l3 4-3 4', takesWords: true },
  button: { name: 'Button', drawing: 'M3 8h18v8H3zM8 12h8', takesWords: true },
};

/** The desk of a part, asked as one that could be any. */
export function deskOf(part: CardPart): PartDesk<CardPart> {
  return partDesks[part.show] as unknown as PartDesk<CardPart>;
}

const dateStyles = ['short', 'medium', 'long', 'full', 'month', 'relative'] as const;

/** A day, as a style writes it. */
function written(style: (typeof dateStyles)[number]): string {
  if (style === 'relative') return '3 weeks ago';
  const day = new Date(Date.UTC(2026, 4, 9));
  const shown = style === 'month' ? ({ month: 'long', year: 'numeric' } as const) : { dateStyle: style };
  return new Intl.DateTimeFormat('en-GB', { ...shown, timeZone: 'UTC' }).format(day);
}

function Shape({ aspect }: { aspect: string }) {
  const [width, height] = aspect.split('/').map(Number) as [number, number];
  const size = 18 / Math.max(width, height);
  return (
    <span className="grid justify-items-center gap-0.5 py-1">
      <svg width="20" height="18" aria-hidden="true">
        <rect
          x={(20 - width * size) / 2}
          y={(18 - height * size) / 2}
          width={width * size}
          height={height * size}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
        />
      </svg>
      <span className="mono text-[11.5px]">{aspect.replace('/', ':')}</span>
    </span>
  );
}

/** Fields that have the same picture at other widths. */
function PictureSizes({ part, fields, onChange }: PartProps<CardPartOf<'picture'>>) {
  const others = fields.filter(({ key, type }) => type === 'image' && key !== part.field);
  if (others.length === 0 && part.sizes.length === 0) return null;
  const set = (field: string, width: number | null) => {
    const rest = part.sizes.filter((one) => one.field !== field);
    onChange({ sizes: width === null ? rest : [...rest, { field, width }].sort((a, b) => a.width - b.width) });
  };
  return (
    <section className="section">
      <h3 className="eyebrow">Same picture, other widths</h3>
      <p className="mt-1 mb-1.5 text-[13px] text-ink-3">In pixels. A page fetches the smallest that is wide enough.</p>
      <ul className="grid gap-1">
        <li className="flex items-center justify-between gap-2">
          <label htmlFor="picture-own">this one</label>
          <NumberBox
            key={part.width}
            id="picture-own"
            value={part.width || null}
            min={1}
            max={20_000}
            mayBeEmpty
            none="unknown"
            onChange={(width) => onChange({ width: width ?? 0 })}
          />
        </li>
        {others.map(({ key, label }) => {
          const width = part.sizes.find(({ field }) => field === key)?.width ?? null;
          return (
            <li key={key} className="flex items-center justify-between gap-2">
              <label htmlFor={`picture-${key}`} className="truncate">
                {label}
              </label>
              <NumberBox
                key={width}
                id={`picture-${key}`}
                value={width}
                min={1}
                max={20_000}
                mayBeEmpty
                none="not used"
                onChange={(next) => set(key, next)}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function FieldPick({
  label,
  none,
  fields,
  value,
  onPick,
}: {
  label: string;
  none: string;
  fields: readonly FieldDescription[];
  value: string;
  onPick: (field: string) => void;
}) {
  return (
    <section className="section">
      <label className="flex items-center justify-between gap-3">
        <span className="eyebrow shrink-0">{label}</span>
        <select className="field min-w-0" value={value} onChange={(event) => onPick(event.target.value)}>
          <option value="">{none}</option>
          {fields.map((field) => (
            <option key={field.key} value={field.key}>
              {field.label}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}
