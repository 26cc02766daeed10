import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import {
  iconNames,
  partNames,
  partsFor,
  proposePart,
  type CardPart,
  type FieldDescription,
  type Lens,
  type PartName,
} from '@ivy/core';
import { iconImage } from '@ivy/view';
import { Trash2 } from 'lucide-react';
import { useRef, type KeyboardEvent } from 'react';
import { Choice, MoveButtons, type ResultsProps } from '../results/parts.js';
import { addPart, changePart, partsOf, placePart, removePart, showAs } from './edits.js';
import { deskOf, partDesks } from './part-desks.js';

interface Props extends ResultsProps {
  /** Place of the part in hand; null for none. */
  part: number | null;
  onPart: (at: number | null) => void;
}

/** What a card shows, in which order, and where it leads. Pressed on the live page or here, a part is taken in hand. */
export function CardWiring({ lens, fields, onEdit, part, onPart }: Props) {
  const parts = partsOf(lens, fields);
  const list = useRef<HTMLUListElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const labelOf = ({ field, show }: CardPart) =>
    field === '' ? partDesks[show].name : (fields.find(({ key }) => key === field)?.label ?? field);
  const place = (from: number, to: number) => {
    if (to < 0 || to >= parts.length) return;
    onEdit(placePart(lens, fields, from, to));
    onPart(to);
    // the row that moved keeps the focus
    setTimeout(() => list.current?.querySelectorAll<HTMLElement>('[data-part-row]')[to]?.focus());
  };
  const remove = (at: number) => {
    onEdit(removePart(lens, fields, at));
    onPart(null);
    setTimeout(() => list.current?.querySelectorAll<HTMLElement>('[data-part-row]')[Math.max(0, at - 1)]?.focus());
  };
  const press = (event: KeyboardEvent, at: number) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by !== 0) {
      event.preventDefault();
      if (event.altKey) place(at, at + by);
      else list.current?.querySelectorAll<HTMLElement>('[data-part-row]')[at + by]?.focus();
    } else if (event.key === 'Delete' && parts.length > 1) remove(at);
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (over) place(Number(active.id) - 1, Number(over.id) - 1);
  };
  const inHand = part === null ? undefined : parts[part];
  const ids = parts.map((_, i) => i + 1);
  return (
    <>
      <section className="border-b border-rule py-2">
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
          <SortableContext items={ids} strategy={verticalListSortingStrategy}>
            <ul ref={list} aria-label="Parts of the card">
              {parts.map((one, i) => (
                <PartRow
                  key={i + 1}
                  id={i + 1}
                  part={one}
                  label={labelOf(one)}
                  inHand={i === part}
                  isFirst={i === 0}
                  isLast={i === parts.length - 1}
                  onFocus={() => onPart(i === part ? null : i)}
                  onKeyDown={(event) => press(event, i)}
                  onMove={(by) => place(i, i + by)}
                  onRemove={parts.length > 1 ? () => remove(i) : null}
                />
              ))}
            </ul>
          </SortableContext>
        </DndContext>
        <AddPart
          lens={lens}
          fields={fields}
          parts={parts}
          onAdd={(added) => {
            onEdit(added.lens);
            onPart(added.at);
          }}
        />
      </section>
      {inHand && part !== null ? (
        <PartSettings
          key={part}
          part={inHand}
          label={labelOf(inHand)}
          fields={fields}
          onShow={(show) => onEdit(showAs(lens, fields, part, show))}
          onChange={(change, topic) => onEdit(changePart(lens, fields, part, change), topic && `part ${part} ${topic}`)}
        />
      ) : (
        <CardLink lens={lens} onEdit={onEdit} />
      )}
    </>
  );
}

function PartRow({
  id,
  part,
  label,
  inHand,
  isFirst,
  isLast,
  onFocus,
  onKeyDown,
  onMove,
  onRemove,
}: {
  id: number;
  part: CardPart;
  label: string;
  inHand: boolean;
  isFirst: boolean;
  isLast: boolean;
  onFocus: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: (() => void) | null;
}) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id });
  const { name, drawing } = deskOf(part);
  return (
    <li
      ref={setNodeRef}
      className={`relative flex h-[29px] items-center ${isDragging ? 'z-10 bg-raised shadow-md' : inHand ? 'bg-ivy-soft' : 'hover:bg-sunk'}`}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
    >
      <button
        type="button"
        data-part-row={id - 1}
        aria-pressed={inHand}
        title="Pull it to move it, or press Alt with an arrow"
        className={`flex h-full min-w-0 flex-1 touch-none items-center gap-2 ps-3.5 pe-2 text-start ${inHand ? 'font-semibold text-ivy' : 'font-medium'}`}
        onClick={onFocus}
        {...listeners}
        onKeyDown={onKeyDown}
      >
        <svg
          viewBox="0 0 24 24"
          width="16"
          height="16"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.7"
          aria-hidden="true"
        >
          <path d={drawing} />
        </svg>
        <span className="truncate">{label}</span>
        <span className="leader" aria-hidden="true" />{' '}
        {label !== name && <span className="shrink-0 text-[12.5px] font-normal text-ink-3">{name.toLowerCase()}</span>}
      </button>
      {inHand && (
        <span className="flex pe-2">
          <MoveButtons label={label} canMove={[!isFirst, !isLast]} onMove={onMove} />
          {onRemove && (
            <button type="button" className="icon-button" aria-label={`Take ${label} off the card`} onClick={onRemove}>
              <Trash2 size={14} />
            </button>
          )}
        </span>
      )}
    </li>
  );
}

/** Parts that stand for no field of their own. */
const unbound: Partial<Record<PartName, string>> = {
  'reading-time': 'How long it takes to read',
  mark: 'A mark, to find the post again',
  button: 'A button that leads to the post',
};

/** A list of the fields that are not on the card yet, and of what reads none. */
function AddPart({
  lens,
  fields,
  parts,
  onAdd,
}: {
  lens: Lens;
  fields: readonly FieldDescription[];
  parts: readonly CardPart[];
  onAdd: (added: { lens: Lens; at: number }) => void;
}) {
  const free = fields.filter((field) => !parts.some((part) => part.field === field.key) && proposePart(field));
  const fieldless = partNames.filter(
    (show) => Object.hasOwn(unbound, show) && !parts.some((part) => part.show === show),
  );
  return (
    <div className="px-3.5 pt-1.5 pb-1">
      <select
        className="field w-full"
        aria-label="Put on the card"
        value=""
        onChange={(event) => {
          const { value } = event.target;
          const field = fields.find(({ key }) => `field ${key}` === value);
          onAdd(addPart(lens, fields, field ?? (value as PartName)));
        }}
      >
        <option value="">Put on the card…</option>
        {fieldless.map((show) => (
          <option key={show} value={show}>
            {unbound[show]}
          </option>
        ))}
        {free.map((field) => (
          <option key={field.key} value={`field ${field.key}`}>
            {field.label}
          </option>
        ))}
      </select>
    </div>
  );
}

/** Parts that can be one of the short facts, before which an icon can stand. */
const factParts = new Set<PartName>(['date', 'number', 'value', 'yes-no', 'terms', 'reading-time']);

function PartSettings({
  part,
  label,
  fields,
  onShow,
  onChange,
}: {
  part: CardPart;
  label: string;
  fields: readonly FieldDescription[];
  onShow: (show: PartName) => void;
  onChange: (change: Partial<CardPart>, topic?: string) => void;
}) {
  const { name, Own, takesWords } = deskOf(part);
  const field = fields.find(({ key }) => key === part.field);
  const others = field ? partsFor(field) : [];
  return (
    <div role="group" aria-label={`${label} on the card`}>
      {others.length > 1 && (
        <Choice
          label="Shown as"
          choices={others.map((show) => [show, partDesks[show].name] as const)}
          value={part.show}
          onPick={onShow}
        />
      )}
      {Own && <Own part={part} fields={fields} onChange={onChange} />}
      {takesWords && (
        <section className="section grid grid-cols-2 gap-2.5">
          {part.show !== 'button' && part.show !== 'yes-no' && part.show !== 'mark' && (
            <Words label="Words before" value={part.before} onChange={(before) => onChange({ before }, 'before')} />
          )}
          <Words
            label={part.show === 'button' || part.show === 'yes-no' || part.show === 'mark' ? 'Words' : 'Words after'}
            value={part.words}
            placeholder={part.show === 'button' ? 'Read on' : part.show === 'yes-no' ? 'Yes' : ''}
            onChange={(words) => onChange({ words }, 'words')}
          />
        </section>
      )}
      {factParts.has(part.show) && (
        <section className="section">
          <h3 className="eyebrow mb-2">Icon</h3>
          <div className="flex flex-wrap gap-1" role="group" aria-label="Icon">
            {iconNames.map((icon) => (
              <button
                key={icon}
                type="button"
                className="pick grid h-[30px] min-w-[30px] place-items-center px-1 text-[12.5px]"
                aria-label={icon}
                aria-pressed={part.icon === icon}
                onClick={() => onChange({ icon })}
              >
                {icon === 'none' ? (
                  'none'
                ) : (
                  <span
                    className="h-[16px] w-[16px] bg-current"
                    style={{ mask: `${iconImage(icon)} center / contain no-repeat` }}
                  />
                )}
              </button>
            ))}
          </div>
        </section>
      )}
      {!Own && !takesWords && <p className="section text-ink-2">{name} has nothing to set.</p>}
    </div>
  );
}

function Words({
  label,
  value,
  placeholder = '',
  onChange,
}: {
  label: string;
  value: string;
  placeholder?: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="block">
      <span className="eyebrow">{label}</span>
      <input
        className="field mt-1 w-full"
        value={value}
        placeholder={placeholder}
        maxLength={60}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

/** What of a card leads to its post. */
function CardLink({ lens, onEdit }: Pick<Props, 'lens' | 'onEdit'>) {
  const { card } = lens;
  return (
    <>
      <Choice
        label="What leads to the post"
        choices={[
          ['card', 'the whole card'],
          ['title', 'title and picture'],
          ['button', 'a button'],
          ['none', 'nothing'],
        ]}
        value={card.link}
        hint={
          card.link === 'button' && !card.parts.some(({ show }) => show === 'button')
            ? 'There is no button on the card yet: put one there.'
            : undefined
        }
        onPick={(link) => onEdit({ ...lens, card: { ...card, link } })}
      />
      {card.link !== 'none' && (
        <Choice
          label="It opens"
          choices={[
            ['here', 'in the same tab'],
            ['new', 'in a new tab'],
          ]}
          value={card.newTab ? 'new' : 'here'}
          onPick={(where) => onEdit({ ...lens, card: { ...card, newTab: where === 'new' } })}
        />
      )}
    </>
  );
}
