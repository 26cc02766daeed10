import { closestCenter, DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { arrangesTerms, fold, own, type Facet } from '@ivy/core';
import { Eye, EyeOff } from 'lucide-react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useApi } from '../api/api.js';
import type { TermView } from '@ivy/client';
import { depthsOf, mostPosts } from '../sources/specimen.js';
import { figure } from '../shared/figures.js';

/** Terms listed before one asks for all. */
const firstTerms = 60;
/** Terms listed at most: a page of more rows would only be scrolled past, slowly. */
const mostTerms = 500;

interface Props {
  facet: Extract<Facet, { labels: object }>;
  /** As the facet arranges them; undefined while they are counted. */
  terms: readonly TermView[] | undefined;
  error: Error | undefined;
  /** Slugs chosen in the address. */
  chosen: readonly string[];
  onEye: (term: string) => void;
  /** An own label; an empty one gives the source's back. */
  onLabel: (term: string, label: string) => void;
  onPlace: (term: string, over: string) => void;
  onMove: (term: string, by: -1 | 1) => void;
}

/** The terms of a field, as the source has them. */
export function useTerms(source: string, field: string) {
  return useApi('/api/v1/sources/{slug}/terms/{field}', { slug: source, field });
}

/**
 * The terms of a facet in the order visitors see, with a bar for how many posts each has, and an eye to hide it from
 * visitors. A term is pulled, or moved by Alt and an arrow.
 */
export function TermsList({ facet, terms, error, chosen, onEye, onLabel, onPlace, onMove }: Props) {
  const [all, setAll] = useState(false);
  const [find, setFind] = useState('');
  // a press alone edits a label; only a pull of a few pixels drags
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const drop = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onPlace(String(active.id), String(over.id));
  };
  if (error) return <p className="text-bad">{error.message}</p>;
  if (!terms) return <p className="remark text-ink-3">Counting the terms…</p>;
  if (terms.length === 0) return <p className="text-ink-2">No post has a value here.</p>;
  const most = mostPosts(terms);
  const depths = depthsOf(terms);
  const isHidden = (slug: string) =>
    arrangesTerms(facet) && (facet.hide.includes(slug) || (facet.only.length > 0 && !facet.only.includes(slug)));
  const found = fold(find.trim());
  const meeting = found === '' ? terms : terms.filter(({ label }) => fold(label).includes(found));
  const listed = meeting.slice(0, all || found !== '' ? mostTerms : firstTerms);
  const rest = meeting.length - listed.length;
  return (
    <>
      {terms.length > firstTerms && (
        <input
          type="search"
          className="field mb-2 h-[28px] w-full"
          placeholder={`Find among ${figure(terms.length)} terms`}
          aria-label="Find a term"
          value={find}
          onChange={(event) => setFind(event.target.value)}
        />
      )}
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={listed.map((term) => term.slug)} strategy={verticalListSortingStrategy}>
          <ul aria-label="Terms">
            {listed.map((term, i) => (
              <TermRow
                key={term.slug}
                term={term}
                own={'labels' in facet ? (own(facet.labels, term.slug) ?? '') : ''}
                isOn={chosen.includes(term.slug)}
                isHidden={isHidden(term.slug)}
                canMove={arrangesTerms(facet)}
                indent={found === '' ? depths[i]! * 13 : 0}
                share={term.count / most}
                onEye={() => onEye(term.slug)}
                onLabel={(label) => onLabel(term.slug, label)}
                onMove={(by) => onMove(term.slug, by)}
              />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
      {found !== '' && meeting.length === 0 && <p className="text-ink-2">No term is called that.</p>}
      {rest > 0 &&
        (all || found !== '' ? (
          <p className="mt-1 text-[13px] text-ink-2">and {figure(rest)} more: find them by typing above</p>
        ) : (
          <button type="button" className="link mt-1" onClick={() => setAll(true)}>
            {terms.length > mostTerms
              ? `Show ${figure(mostTerms)} of ${figure(terms.length)}`
              : `Show all ${figure(terms.length)}`}
          </button>
        ))}
    </>
  );
}

interface RowProps {
  term: TermView;
  own: string;
  isOn: boolean;
  isHidden: boolean;
  canMove: boolean;
  indent: number;
  /** Of the posts the commonest term has. */
  share: number;
  onEye: () => void;
  onLabel: (label: string) => void;
  onMove: (by: -1 | 1) => void;
}

function TermRow({ term, own, isOn, isHidden, canMove, indent, share, onEye, onLabel, onMove }: RowProps) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: term.slug,
    disabled: !canMove,
  });
  const move = (event: KeyboardEvent<HTMLLIElement>) => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (!canMove || !event.altKey || by === 0) return;
    event.preventDefault();
    onMove(by);
    // a row that is moved in the page loses the focus
    const button = event.currentTarget.querySelector('button');
    requestAnimationFrame(() => button?.focus());
  };
  return (
    <li
      ref={setNodeRef}
      className={`flex h-[24px] items-center gap-2 ${isDragging ? 'relative z-10 bg-raised shadow-md' : ''}`}
      style={{ transform: transform ? `translateY(${transform.y}px)` : undefined, transition }}
      data-term={term.slug}
      onKeyDown={move}
    >
      <span className={`flex min-w-0 flex-1 ${canMove ? 'touch-none' : ''}`} {...listeners}>
        <TermLabel
          own={own}
          label={term.label}
          className={`min-w-0 flex-1 truncate ${isHidden ? 'text-ink-3 line-through' : isOn ? 'font-semibold text-hue-text' : ''}`}
          indent={indent}
          onLabel={onLabel}
        />
      </span>
      <span
        className={`h-[7px] ${isOn ? 'bg-hue' : 'bg-hue-half'}`}
        style={{ width: Math.max(1, 84 * share), opacity: isHidden ? 0.5 : 1 }}
        aria-hidden="true"
      />
      <span className="w-8 text-end text-ink-2">{figure(term.count)}</span>
      {canMove && (
        <button
          type="button"
          className="grid h-[24px] w-[24px] place-items-center rounded-[3px] text-ink-3 hover:text-ink"
          aria-label={isHidden ? `Show ${term.label}` : `Hide ${term.label}`}
          aria-pressed={isHidden}
          onClick={onEye}
        >
          {isHidden ? <EyeOff size={14} /> : <Eye size={14} />}
        </button>
      )}
    </li>
  );
}

/** A term's label, which turns into a box to give it one of this lens's own. */
function TermLabel({
  own,
  label,
  className,
  indent,
  onLabel,
}: {
  own: string;
  label: string;
  className: string;
  indent: number;
  onLabel: (label: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const done = (next: string | null) => {
    if (next !== null && next.trim() !== (own || label)) onLabel(next.trim() === label ? '' : next);
    setText(null);
    requestAnimationFrame(() => button.current?.focus());
  };
  if (text === null) {
    return (
      <button
        ref={button}
        type="button"
        className={`${className} text-start ${own === '' ? '' : 'italic'}`}
        style={{ paddingInlineStart: indent }}
        title={
          own === ''
            ? 'Press to give it a label of its own here; pull it to move it, or press Alt with an arrow'
            : `“${label}” in the source`
        }
        aria-label={`Label of ${own || label}`}
        onClick={() => setText(own || label)}
      >
        {own || label}
      </button>
    );
  }
  return (
    <input
      className="field h-[24px] min-w-0 flex-1"
      aria-label={`Own label of ${label}`}
      maxLength={200}
      autoFocus
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => done(text)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') done(text);
        if (event.key === 'Escape') done(null);
      }}
    />
  );
}
