import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import {
  facetLabel,
  kindOf,
  pagingOf,
  usableFields,
  suitingKind,
  warningsOf,
  type Answer,
  type Facet,
  type FieldDescription,
  type Lens,
} from '@ivy/core';
import { ArrowDown, ArrowUp, Eye, EyeOff, Plus, TriangleAlert } from 'lucide-react';
import type { KeyboardEvent, ReactNode } from 'react';
import type { ApiProblem } from '@ivy/client';
import { keyNamed } from '../keys/key-table.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import type { Addition } from './kinds/kind-desk.js';
import { additions } from './kinds/kind-desks.js';

interface Props {
  lens: Lens;
  fields: readonly FieldDescription[];
  answer: Answer | undefined;
  hues: ReadonlyMap<string, number>;
  focus: string | null;
  problem: ApiProblem | null;
  onFocus: (key: string | null) => void;
  onPlace: (key: string, over: string) => void;
  onMove: (key: string, by: -1 | 1) => void;
  onEye: (key: string) => void;
  onAdd: (field: FieldDescription) => void;
  onAddition: (addition: Addition) => void;
  /** Whether it lies over the page rather than beside it. */
  isSheet?: boolean;
  /** What stands below the parts. */
  remarks?: ReactNode;
}

/** The parts of the lens in order, read like a contents page. */
export function Outline({
  lens,
  fields,
  answer,
  hues,
  focus,
  problem,
  onFocus,
  onPlace,
  onMove,
  onEye,
  onAdd,
  onAddition,
  isSheet = false,
  remarks,
}: Props) {
  const unused = usableFields(fields).filter(
    (field) => !lens.facets.some((facet) => !kindOf(facet).finding && kindOf(facet).fields(facet).includes(field.key)),
  );
  const chosen = new Map(
    answer?.facets.map((facet) => [facet.key, [facet.selected].flat().filter((value) => value !== null).length]),
  );
  // a press alone chooses; only a pull of a few pixels drags
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onPlace(String(active.id), String(over.id));
  };
  const walk = (event: KeyboardEvent, key: string) => {
    const name = keyNamed(event, ['outline']);
    if (name === null) return;
    event.preventDefault();
    if (name === 'up' || name === 'down') return onMove(key, name === 'up' ? -1 : 1);
    const next = lens.facets[lens.facets.findIndex((facet) => facet.key === key) + (name === 'next' ? 1 : -1)];
    if (!next) return;
    onFocus(next.key);
    (event.currentTarget.closest('ul')?.querySelector(`[data-row="${next.key}"]`) as HTMLElement | null)?.focus();
  };
  return (
    <nav
      aria-label="Outline"
      className={`flex shrink-0 flex-col overflow-y-auto bg-paper ${isSheet ? '' : 'w-[212px] border-e border-rule'}`}
    >
      <h2 className="flex items-baseline justify-between px-3.5 pt-3 pb-1">
        <span className="remark text-[16px]">Facets</span>
        <span className="text-[12.5px] text-ink-3">{lens.facets.length}</span>
      </h2>
      {lens.facets.length === 0 && (
        <p className="px-3.5 py-1 text-ink-2">No facet yet. Add one from the fields below.</p>
      )}
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={lens.facets.map((facet) => facet.key)} strategy={verticalListSortingStrategy}>
          <ul>
            {lens.facets.map((facet, i) => {
              const hue = hues.get(facet.key)!;
              const inHand = facet.key === focus;
              const label = facetLabel(facet, fields, lens);
              const bad =
                warningsOf(lens, facet, fields).length > 0 ||
                problem?.errors.some((error) => error.pointer.startsWith(`/config/facets/${i}/`));
              return (
                <OutlineRow
                  key={facet.key}
                  facet={facet}
                  label={label}
                  hue={hue}
                  inHand={inHand}
                  bad={bad ?? false}
                  chosen={chosen.get(facet.key) ?? 0}
                  isFirst={i === 0}
                  isLast={i === lens.facets.length - 1}
                  onFocus={() => onFocus(facet.key)}
                  onKeyDown={(event) => walk(event, facet.key)}
                  onMove={(by) => onMove(facet.key, by)}
                  onEye={() => onEye(facet.key)}
                />
              );
            })}
          </ul>
        </SortableContext>
      </DndContext>
      <h2 className="mt-4 flex items-baseline justify-between px-3.5 pb-1">
        <span className="remark text-[16px]">Results</span>
      </h2>
      <button
        type="button"
        aria-current={focus === null ? 'true' : undefined}
        className={`flex h-[27px] shrink-0 items-center gap-2 ps-3.5 pe-3.5 text-start font-medium ${focus === null ? 'bg-ivy-soft text-ivy' : 'hover:bg-sunk'}`}
        onClick={() => onFocus(null)}
      >
        <span className="truncate">Cards, order and pages</span>
        <span className="leader" aria-hidden="true" />
        <span className="text-[12.5px] text-ink-3">
          {pagingOf(lens.paging).hasSize ? `${lens.paging.size}` : 'all'}
        </span>
      </button>
      {remarks}
      <div className="mt-auto border-t border-rule pt-3 pb-3">
        <h2 className="flex items-baseline justify-between px-3.5 pb-1">
          <span className="remark text-[16px]">Add a facet</span>
          <span className="text-[12.5px] text-ink-3">
            {unused.length === 0 ? 'all in use' : `${unused.length} unused`}
          </span>
        </h2>
        <ul>
          {additions
            .filter((addition) => addition.isFree(lens, fields))
            .map((addition) => (
              <AddRow
                key={addition.name}
                name={addition.name}
                fact={addition.fact}
                onAdd={() => onAddition(addition)}
              />
            ))}
          {unused.map((field) => (
            <AddRow
              key={field.key}
              name={field.key}
              fact={factOf(field)}
              why={suitingKind(field).why}
              onAdd={() => onAdd(field)}
            />
          ))}
        </ul>
      </div>
    </nav>
  );
}

interface RowProps {
  facet: Facet;
  label: string;
  hue: number;
  inHand: boolean;
  bad: boolean;
  chosen: number;
  isFirst: boolean;
  isLast: boolean;
  onFocus: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
  onMove: (by: -1 | 1) => void;
  onEye: () => void;
}

/** A facet in the outline: pressed it is taken in hand, pulled it is moved. */
function OutlineRow(props: RowProps) {
  const { facet, label, hue, inHand, bad, chosen, onMove } = props;
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: facet.key });
  return (
    <li
      ref={setNodeRef}
      {...hueAttribute(hue)}
      className={`group relative flex h-[27px] items-center ${isDragging ? 'z-10 bg-raised shadow-md' : inHand ? 'bg-hue-ground' : 'hover:bg-sunk'}`}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
      data-outline={facet.key}
    >
      <button
        type="button"
        data-row={facet.key}
        aria-current={inHand ? 'true' : undefined}
        title="Pull it to move it, or press Alt with an arrow"
        className={`flex h-full min-w-0 flex-1 touch-none items-center gap-2 ps-3.5 text-start ${inHand ? 'font-semibold text-hue-text' : 'font-medium'} ${facet.visible ? '' : 'text-ink-3 line-through'}`}
        onClick={props.onFocus}
        {...listeners}
        onKeyDown={props.onKeyDown}
      >
        <Seed hue={hue} open={!facet.visible} />
        <span className="truncate">{label}</span>
        <span className="leader" aria-hidden="true" />
        {bad && <TriangleAlert size={14} className="text-rust" aria-label="Needs a look" />}
        {chosen > 0 && <span className="font-semibold text-hue-text">{chosen}</span>}
      </button>
      {inHand && (
        <span className="flex">
          <MoveButton label={`Move ${label} up`} disabled={props.isFirst} onClick={() => onMove(-1)} up />
          <MoveButton label={`Move ${label} down`} disabled={props.isLast} onClick={() => onMove(1)} />
        </span>
      )}
      <button
        type="button"
        className="me-1.5 grid h-[24px] w-[24px] place-items-center rounded-[3px] text-ink-3 hover:text-ink"
        aria-label={facet.visible ? `Hide ${label} from visitors` : `Show ${label} to visitors`}
        aria-pressed={!facet.visible}
        onClick={props.onEye}
      >
        {facet.visible ? <Eye size={14} /> : <EyeOff size={14} />}
      </button>
    </li>
  );
}

function AddRow({ name, fact, why, onAdd }: { name: string; fact: string; why?: string; onAdd: () => void }) {
  return (
    <li>
      <button
        type="button"
        className="flex h-[27px] w-full items-center gap-2 px-3.5 text-start hover:bg-sunk"
        title={why}
        onClick={onAdd}
      >
        <Plus size={14} className="shrink-0 text-ivy" />
        <span className="mono truncate text-[12.5px]">{name}</span>
        <span className="leader" aria-hidden="true" />
        <span className="shrink-0 text-[12.5px] text-ink-3">{fact}</span>
      </button>
    </li>
  );
}

function factOf(field: FieldDescription): string {
  if (field.type === 'boolean') return 'yes, no';
  if (field.type === 'number') return 'numbers';
  if (field.type === 'text') return 'first letters';
  return field.type === 'date' || field.type === 'datetime' ? 'days' : `${field.distinct} terms`;
}

function MoveButton({
  label,
  disabled,
  onClick,
  up = false,
}: {
  label: string;
  disabled: boolean;
  onClick: () => void;
  up?: boolean;
}) {
  return (
    <button
      type="button"
      className="grid h-[24px] w-[24px] place-items-center rounded-[3px] text-ink-3 hover:text-ink disabled:opacity-30"
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
    >
      {up ? <ArrowUp size={13} /> : <ArrowDown size={13} />}
    </button>
  );
}
