import type { TermView } from '@ivy/client';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { figure } from '../../shared/figures.js';
import type { Held } from './holding.js';
import { Leaf } from './leaf.js';
import type { TermTree } from './term-tree.js';

interface Props {
  tree: TermTree;
  /** The terms in sight, in their order. */
  shown: readonly TermView[];
  folded: ReadonlySet<string>;
  chosen: string | null;
  held: Held | null;
  onFold: (slug: string, isFolded: boolean) => void;
  onChoose: (slug: string) => void;
  onPress: (term: TermView, event: PointerEvent) => void;
  onKey: (event: KeyboardEvent, term: TermView) => void;
}

/** Pixels a row is high, and rows drawn above and below those in sight. */
const rowHeight = 36;
const beyond = 10;
const indent = 22;

/** The terms of a field one under the other: of many, only those in sight are drawn. */
export function Rows({ tree, shown, folded, chosen, held, onFold, onChoose, onPress, onKey }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [scrolled, setScrolled] = useState(0);
  const [height, setHeight] = useState(600);
  useLayoutEffect(() => {
    if (box.current) setHeight(box.current.clientHeight || 600);
  }, []);
  const at = shown.findIndex(({ slug }) => slug === chosen);
  // the term in hand is in sight, wherever it went
  useEffect(() => {
    const list = box.current;
    if (!list || at < 0) return;
    const top = at * rowHeight;
    if (top < list.scrollTop) list.scrollTop = top;
    else if (top + rowHeight > list.scrollTop + list.clientHeight) list.scrollTop = top + rowHeight - list.clientHeight;
  }, [at]);
  const from = Math.max(0, Math.floor(scrolled / rowHeight) - beyond);
  const to = Math.min(shown.length, Math.ceil((scrolled + height) / rowHeight) + beyond);
  const most = Math.max(1, ...tree.terms.map(({ count }) => count));
  return (
    <div
      ref={box}
      className="h-full overflow-x-hidden overflow-y-auto"
      onScroll={({ currentTarget }) => {
        setScrolled(currentTarget.scrollTop);
        setHeight(currentTarget.clientHeight);
      }}
    >
      <ul role="tree" aria-label="Terms" className="relative" style={{ height: shown.length * rowHeight }}>
        {shown.slice(from, to).map((term, i) => {
          const hasChildren = tree.children.has(term.slug);
          const zone = held?.over?.slug === term.slug && held.slug !== term.slug ? held.over.zone : null;
          return (
            <li
              key={term.slug}
              role="treeitem"
              aria-level={tree.depths.get(term.slug)! + 1}
              aria-selected={term.slug === chosen}
              aria-setsize={shown.length}
              aria-posinset={from + i + 1}
              {...(hasChildren && { 'aria-expanded': !folded.has(term.slug) })}
              data-slug={term.slug}
              tabIndex={term.slug === (chosen ?? shown[0]?.slug) ? 0 : -1}
              className={`absolute flex w-full touch-pan-y items-center gap-2 border-b border-rule pe-4 outline-offset-[-2px] select-none ${term.slug === chosen ? 'bg-hue-ground' : 'hover:bg-paper'} ${held?.slug === term.slug ? 'opacity-45' : ''} ${zoneLine[zone ?? 'none']}`}
              style={{
                top: (from + i) * rowHeight,
                height: rowHeight,
                paddingInlineStart: 8 + indent * tree.depths.get(term.slug)!,
              }}
              onFocus={() => onChoose(term.slug)}
              onClick={() => onChoose(term.slug)}
              onPointerDown={(event) => onPress(term, event)}
              onKeyDown={(event) => onKey(event, term)}
            >
              <span data-term={term.slug} data-zone="before" className="absolute inset-x-0 top-0 h-[8px]" />
              <span data-term={term.slug} data-zone="after" className="absolute inset-x-0 bottom-0 h-[8px]" />
              <span className="w-5 shrink-0">
                {hasChildren && (
                  <button
                    type="button"
                    tabIndex={-1}
                    className="relative grid h-6 w-5 place-items-center text-ink-2"
                    // arrows fold a row: a second way would only be heard twice
                    aria-hidden="true"
                    onClick={(event) => {
                      event.stopPropagation();
                      onFold(term.slug, !folded.has(term.slug));
                    }}
                  >
                    {folded.has(term.slug) ? <ChevronRight size={15} /> : <ChevronDown size={15} />}
                  </button>
                )}
              </span>
              <span
                data-term={term.slug}
                data-zone="merge"
                className={`grid h-full w-[34px] shrink-0 cursor-grab place-items-center ${zone === 'merge' ? 'outline-2 outline-hue outline-dashed' : ''}`}
              >
                <Leaf
                  size={Math.max(12, Math.round(30 * Math.sqrt(term.count / most)))}
                  count={term.count}
                  own={term.own}
                  colour={term.colour}
                  isHidden={term.hidden}
                  isChosen={term.slug === chosen}
                />
              </span>
              <span
                data-term={term.slug}
                data-zone="under"
                className={`flex h-full min-w-0 flex-1 items-center gap-2 ${zone === 'under' ? 'outline-2 outline-hue outline-dashed' : ''}`}
              >
                <span
                  className={`truncate ${term.hidden ? 'text-ink-3 line-through' : ''} ${term.parent === null ? 'font-semibold' : ''}`}
                >
                  {term.label}
                </span>
                {term.hidden && <span className="remark text-[13px] text-ink-3">hidden</span>}
                {term.aliases.length > 0 && (
                  <span className="mono truncate text-[12px] text-ink-3 max-sm:hidden">{term.aliases.join(', ')}</span>
                )}
              </span>
              {term.own !== term.count && (
                <span className="shrink-0 text-[13px] text-ink-2">{figure(term.own)} own</span>
              )}
              <span className="serif w-[62px] shrink-0 text-end text-[15px]">{figure(term.count)}</span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

const zoneLine = {
  none: '',
  merge: '',
  under: '',
  before: 'shadow-[inset_0_2px_0_var(--h)]',
  after: 'shadow-[inset_0_-2px_0_var(--h)]',
};
