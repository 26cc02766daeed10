import type { FieldDescription } from '@ivy/core';
import { ArrowDown, ArrowUp, Columns3 } from 'lucide-react';
import type { PostRuler as Ruler } from '@ivy/client';
import { useEffect, useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import { figure } from '../../shared/figures.js';
import { PostRuler } from './post-ruler.js';
import type { Asked, Posts } from './use-posts.js';

interface Props {
  fields: readonly FieldDescription[];
  /** Keys of the fields that are shown. */
  columns: readonly string[];
  asked: Asked;
  posts: Posts;
  /** What stands where in their order, once it is known. */
  ruler: Ruler | undefined;
  /** Id of the post in hand. */
  chosen: string | null;
  onSort: (field: string) => void;
  onChoose: (id: string) => void;
  onColumns: (columns: string[]) => void;
}

/** Pixels a row is high, and rows drawn above and below those in sight. */
const rowHeight = 34;
const beyond = 8;
/** Pixels the heads are high, and posts from which on the ruler stands in for the scroll bar. */
const headHeight = 33;
const fewPosts = 60;

/** Posts as rows, of which only those in sight are drawn: a hundred thousand scroll like ten. */
export function PostTable({ fields, columns, asked, posts, ruler, chosen, onSort, onChoose, onColumns }: Props) {
  const shown = columns.flatMap((key) => fields.find((field) => field.key === key) ?? []);
  const box = useRef<HTMLDivElement>(null);
  const [scrolled, setScrolled] = useState(0);
  const [height, setHeight] = useState(600);
  const tableId = useId();
  useLayoutEffect(() => {
    const measure = () => setHeight(box.current?.clientHeight || 600);
    measure();
    addEventListener('resize', measure);
    return () => removeEventListener('resize', measure);
  }, []);
  const [placeInHand, setPlaceInHand] = useState<number | null>(null);
  const choose = (id: string, place: number) => {
    setPlaceInHand(place);
    onChoose(id);
  };
  const total = posts.total ?? 0;
  const hasRuler = total >= fewPosts;
  const room = height - headHeight;
  const from = Math.max(0, Math.floor(scrolled / rowHeight) - beyond);
  const to = Math.min(total, Math.ceil((scrolled + height) / rowHeight) + beyond);
  const { need } = posts;
  useEffect(() => {
    if (total > 0) need(from, Math.max(from, to - 1));
  }, [need, from, to, total]);
  const drawn = Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i);
  // heads and rows are laid out apart, and share what they may not be narrower than
  const minWidth = 56 + 180 + 122 * Math.max(0, shown.length - 1) + 44;
  const widths = {
    gridTemplateColumns: `56px ${shown.map((_, i) => (i === 0 ? 'minmax(180px,2.2fr)' : 'minmax(110px,1fr)')).join(' ')}`,
  };
  const keys = (event: KeyboardEvent) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!step || !(event.target instanceof HTMLElement)) return;
    const next = box.current?.querySelector<HTMLElement>(`[data-place="${Number(event.target.dataset.place) + step}"]`);
    if (!next) return;
    event.preventDefault();
    next.focus();
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <ColumnChoice fields={fields} columns={columns} onColumns={onColumns} />
      <div className="flex min-h-0 flex-1">
        <div
          ref={box}
          id={tableId}
          className={`min-w-0 flex-1 overflow-auto ${hasRuler ? 'sm:[scrollbar-width:none]' : ''}`}
          tabIndex={0}
          role="table"
          aria-label="Posts"
          aria-rowcount={total + 1}
          onScroll={({ currentTarget }) => {
            setScrolled(currentTarget.scrollTop);
            setHeight(currentTarget.clientHeight);
          }}
          onKeyDown={keys}
        >
          <div role="rowgroup" className="sticky top-0 z-10 border-b border-rule-2 bg-raised" style={{ minWidth }}>
            <div role="row" aria-rowindex={1} className="grid items-center gap-3 px-4 py-1" style={widths}>
              <span role="columnheader" className="remark text-end text-[13px] text-ink-3">
                no.
              </span>
              {shown.map((field) => (
                <span
                  key={field.key}
                  role="columnheader"
                  aria-sort={asked.sort !== field.key ? 'none' : asked.order === 'asc' ? 'ascending' : 'descending'}
                >
                  <button
                    type="button"
                    className="flex min-h-[24px] items-center gap-1 font-semibold hover:text-ivy"
                    onClick={() => onSort(field.key)}
                  >
                    <span className="truncate">{field.label}</span>
                    {asked.sort === field.key &&
                      (asked.order === 'asc' ? (
                        <ArrowUp size={13} aria-hidden="true" />
                      ) : (
                        <ArrowDown size={13} aria-hidden="true" />
                      ))}
                  </button>
                </span>
              ))}
            </div>
          </div>
          <div role="rowgroup" className="relative" style={{ height: total * rowHeight, minWidth }}>
            {drawn.map((place) => {
              const post = posts.at(place);
              return (
                <div
                  key={place}
                  role="row"
                  aria-rowindex={place + 2}
                  aria-selected={post !== undefined && post.id === chosen}
                  data-place={place}
                  tabIndex={0}
                  className={`absolute inset-x-0 grid cursor-pointer items-center gap-3 border-b border-rule px-4 outline-offset-[-2px] ${post && post.id === chosen ? 'bg-ivy-soft' : 'hover:bg-paper'}`}
                  style={{ ...widths, top: place * rowHeight, height: rowHeight }}
                  onClick={() => post && choose(post.id, place)}
                  onKeyDown={(event) => {
                    if ((event.key === 'Enter' || event.key === ' ') && post) {
                      event.preventDefault();
                      choose(post.id, place);
                    }
                  }}
                >
                  <span role="cell" className="text-end text-[12.5px] text-ink-2">
                    {figure(place + 1)}
                  </span>
                  {shown.map((field, column) => (
                    <span
                      key={field.key}
                      role="cell"
                      className={`truncate ${column === 0 ? 'serif text-[15px] font-semibold' : ''}`}
                    >
                      {post ? (post.words[field.key] ?? '') : column === 0 ? <span className="text-ink-3">…</span> : ''}
                    </span>
                  ))}
                </div>
              );
            })}
          </div>
        </div>
        {hasRuler && (
          <PostRuler
            ruler={ruler}
            total={total}
            first={Math.min(total - 1, Math.floor(scrolled / rowHeight))}
            inSight={Math.max(1, Math.floor(room / rowHeight))}
            chosen={chosen === null ? null : placeInHand}
            height={room}
            controls={tableId}
            onGo={(place) => box.current?.scrollTo({ top: place * rowHeight })}
          />
        )}
      </div>
    </div>
  );
}

function ColumnChoice({ fields, columns, onColumns }: Pick<Props, 'fields' | 'columns' | 'onColumns'>) {
  const [isOpen, setOpen] = useState(false);
  const toggle = (key: string) =>
    onColumns(columns.includes(key) ? columns.filter((one) => one !== key) : [...columns, key]);
  return (
    <div className="border-b border-rule px-4 py-1">
      <button type="button" className="act text-[13px]" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        <Columns3 size={14} className="me-1.5" aria-hidden="true" /> Columns
      </button>
      {isOpen && (
        <p className="flex flex-wrap gap-x-4 gap-y-1 pb-1.5" role="group" aria-label="Columns">
          {fields.map(({ key, label }) => (
            <label key={key} className="flex min-h-[24px] items-center gap-1.5">
              <input
                type="checkbox"
                className="accent-(--color-ivy)"
                checked={columns.includes(key)}
                disabled={columns.length === 1 && columns.includes(key)}
                onChange={() => toggle(key)}
              />
              {label}
            </label>
          ))}
        </p>
      )}
    </div>
  );
}
