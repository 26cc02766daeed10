import type { TermView } from '@ivy/client';
import { useLayoutEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { figure } from '../../shared/figures.js';
import type { Held } from './holding.js';
import { Leaf } from './leaf.js';
import type { TermTree } from './term-tree.js';

/** Terms that are drawn as leaves at most, and levels: more are listed. */
export const mostLeaves = 25;
export const mostLevelsDrawn = 3;

interface Props {
  tree: TermTree;
  chosen: string | null;
  held: Held | null;
  onChoose: (slug: string) => void;
  onPress: (term: TermView, event: PointerEvent) => void;
  onKey: (event: KeyboardEvent, term: TermView) => void;
}

/** Pixels: what a leaf stands on, the trunk's room, and a twig's height. */
const cell = 118;
const trunk = 74;
const twig = 146;
const largest = 78;
const smallest = 22;

/** The terms of a field as a pressed branch: a twig for each at the top, its leaves along it, the largest with most posts. */
export function Branch({ tree, chosen, held, onChoose, onPress, onKey }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(900);
  useLayoutEffect(() => {
    const measure = () => setWidth(box.current?.clientWidth || 900);
    measure();
    addEventListener('resize', measure);
    return () => removeEventListener('resize', measure);
  }, []);
  const perRow = Math.max(1, Math.floor((width - trunk - 20) / cell));
  const rows = twigsOf(tree).flatMap((terms) =>
    chunks(terms, perRow).map((some, i) => ({ terms: some, goesOn: i > 0 })),
  );
  const most = Math.max(1, ...tree.terms.map(({ count }) => count));
  const height = rows.length * twig + 16;
  return (
    <div ref={box} className="relative w-full" style={{ minHeight: height }}>
      <Twigs rows={rows.map(({ terms, goesOn }) => ({ leaves: terms.length, goesOn }))} height={height} />
      <ul role="tree" aria-label="Terms" className="relative">
        {rows.map(({ terms }, row) =>
          terms.map((term, i) => (
            <li
              key={term.slug}
              role="treeitem"
              aria-level={tree.depths.get(term.slug)! + 1}
              aria-selected={term.slug === chosen}
              data-slug={term.slug}
              tabIndex={term.slug === (chosen ?? tree.terms[0]?.slug) ? 0 : -1}
              className={`absolute touch-none rounded-[3px] outline-offset-[-2px] select-none ${held?.slug === term.slug ? 'opacity-45' : 'cursor-grab'}`}
              style={{ insetInlineStart: trunk + i * cell, top: row * twig + 4, width: cell, height: twig - 6 }}
              onFocus={() => onChoose(term.slug)}
              onClick={() => onChoose(term.slug)}
              onPointerDown={(event) => onPress(term, event)}
              onKeyDown={(event) => onKey(event, term)}
            >
              <LeafOf
                term={term}
                depth={tree.depths.get(term.slug)!}
                most={most}
                chosen={term.slug === chosen}
                held={held}
              />
            </li>
          )),
        )}
      </ul>
    </div>
  );
}

function LeafOf({
  term,
  depth,
  most,
  chosen,
  held,
}: {
  term: TermView;
  depth: number;
  most: number;
  chosen: boolean;
  held: Held | null;
}) {
  const size = Math.max(smallest, Math.round(largest * Math.sqrt(term.count / most)));
  const zone = held?.over?.slug === term.slug && held.slug !== term.slug ? held.over.zone : null;
  return (
    <>
      <span
        data-term={term.slug}
        data-zone="before"
        className={`absolute inset-y-0 start-0 w-[14px] ${zone === 'before' ? 'border-s-2 border-dashed border-hue' : ''}`}
      />
      <span
        data-term={term.slug}
        data-zone="merge"
        className={`absolute inset-x-[14px] top-0 flex h-[88px] items-end justify-center ${zone === 'merge' ? 'rounded-[3px] outline-2 outline-offset-2 outline-hue outline-dashed' : ''}`}
      >
        <Leaf
          size={size}
          count={term.count}
          own={term.own}
          colour={term.colour}
          isHidden={term.hidden}
          isChosen={chosen}
        />
      </span>
      <span
        data-term={term.slug}
        data-zone="under"
        className={`absolute inset-x-[6px] top-[98px] bottom-0 grid content-start justify-items-center text-center leading-[17px] ${zone === 'under' ? 'rounded-[3px] outline-2 outline-hue outline-dashed' : ''}`}
      >
        <span
          className={`line-clamp-2 max-w-full break-words ${depth === 0 ? 'font-semibold' : ''} ${chosen ? 'text-hue-text' : ''} ${term.hidden ? 'text-ink-3 line-through' : ''}`}
        >
          {term.label}
        </span>
        <span className="serif text-[14px]">
          {figure(term.count)}
          {term.own !== term.count && <span className="font-sans text-[12px] text-ink-2"> {figure(term.own)} own</span>}
          {term.hidden && <span className="remark text-[12px] text-ink-3"> hidden</span>}
        </span>
      </span>
    </>
  );
}

/** The wood: from the trunk to each twig and along it, and from a twig to the row it goes on in. */
function Twigs({ rows, height }: { rows: readonly { leaves: number; goesOn: boolean }[]; height: number }) {
  const middle = height / 2;
  const start = trunk + 18;
  return (
    <svg className="absolute inset-0 h-full w-full text-ink-3 rtl:-scale-x-100" aria-hidden="true">
      <path d={`M0 ${middle}H14`} stroke="currentColor" strokeWidth={11} strokeLinecap="round" />
      {rows.map(({ leaves, goesOn }, row) => {
        const y = row * twig + 98;
        const end = trunk + leaves * cell - 16;
        const stem = goesOn
          ? `M${start} ${y - twig}C${trunk - 22} ${y - twig + 6} ${trunk - 34} ${y - 14} ${start} ${y}`
          : `M10 ${middle}C${trunk * 0.6} ${middle} ${trunk * 0.3} ${y} ${start} ${y}`;
        return (
          <g key={row} fill="none" stroke="currentColor" strokeLinecap="round">
            <path d={stem} strokeWidth={goesOn ? 2.5 : 5.5} />
            <path
              d={`M${start} ${y}C${(trunk + end) / 2} ${y - 7} ${(trunk + end) / 2} ${y + 7} ${end} ${y}`}
              strokeWidth={3}
            />
            <path d={`M${end} ${y}q14 -3 13 -12q-2 -7 -8 -2`} strokeWidth={1.6} />
          </g>
        );
      })}
    </svg>
  );
}

/** The terms of each twig, depth first: those at the top by themselves where nothing stands under them. */
function twigsOf({ terms, children, depths }: TermTree): TermView[][] {
  const twigs: TermView[][] = [];
  let bare: TermView[] | null = null;
  for (const term of terms) {
    const isBare = depths.get(term.slug) === 0 && !children.has(term.slug);
    if (isBare && bare) bare.push(term);
    else if (depths.get(term.slug) === 0) twigs.push([term]);
    else twigs.at(-1)!.push(term);
    if (depths.get(term.slug) === 0) bare = isBare ? twigs.at(-1)! : null;
  }
  return twigs;
}

function chunks<T>(list: readonly T[], size: number): T[][] {
  return Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));
}
