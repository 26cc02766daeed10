import type { PostRuler as Ruler } from '@ivy/client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { figure } from '../../shared/figures.js';
import { rulerLabels } from './ruler-labels.js';

interface Props {
  ruler: Ruler | undefined;
  total: number;
  /** Place of the post at the top, and how many are in sight. */
  first: number;
  inSight: number;
  /** Place of the post in hand, where it is known. */
  chosen: number | null;
  /** Pixels it is high. */
  height: number;
  /** Id of what it scrolls. */
  controls: string;
  onGo: (place: number) => void;
}

const unitWords = {
  year: 'year',
  month: 'month',
  day: 'day',
  amount: 'from',
  term: 'term',
  letter: 'letter',
} as const;

/** All posts along an edge, told in the unit of their order: pressed, pulled along, or moved by keys. */
export function PostRuler({ ruler, total, first, inSight, chosen, height, controls, onGo }: Props) {
  const isPulled = useRef(false);
  const last = Math.max(0, total - inSight);
  const yOf = (place: number) => (place / total) * height;
  const { labels, ticks } = rulerLabels(ruler?.marks ?? [], total, height);
  const go = (place: number) => onGo(Math.max(0, Math.min(last, Math.round(place))));
  const goTo = (event: PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    go(((event.clientY - box.top) / box.height) * total);
  };
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1, PageDown: inSight, PageUp: -inSight, Home: -total, End: total }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    go(first + by);
  };
  const isUncovered = ({ place }: { place: number }) => Math.abs(yOf(place) - yOf(first)) > 15;
  const here = labels.findLast(({ place }) => place <= first);
  return (
    <div className="flex w-[64px] shrink-0 flex-col border-s border-rule bg-paper max-sm:hidden">
      <p className="remark h-[33px] border-b border-rule-2 px-2 py-1.5 text-center text-[13px] text-ink-2">
        {ruler?.unit ? unitWords[ruler.unit] : 'no.'}
      </p>
      <div
        role="scrollbar"
        aria-label="Where in the list"
        aria-orientation="vertical"
        aria-controls={controls}
        aria-valuemin={1}
        aria-valuemax={Math.max(1, last + 1)}
        aria-valuenow={first + 1}
        aria-valuetext={`${figure(first + 1)} of ${figure(total)}${here ? `, ${here.words}` : ''}`}
        tabIndex={0}
        className="relative cursor-ns-resize touch-none overflow-hidden select-none"
        style={{ height }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          isPulled.current = true;
          goTo(event);
        }}
        onPointerMove={(event) => isPulled.current && goTo(event)}
        onPointerUp={() => (isPulled.current = false)}
        onPointerCancel={() => (isPulled.current = false)}
        onKeyDown={keys}
      >
        <svg width="64" height={height} aria-hidden="true" className="absolute inset-0">
          {ticks.map((place) => (
            <line key={place} x1="0" x2="5" y1={yOf(place)} y2={yOf(place)} className="stroke-rule-2" />
          ))}
          {labels.map(({ place }) => (
            <line key={place} x1="0" x2="11" y1={yOf(place)} y2={yOf(place)} className="stroke-ink-3" />
          ))}
          {chosen !== null && (
            <line x1="0" x2="64" y1={yOf(chosen)} y2={yOf(chosen)} className="stroke-ivy" strokeWidth="1.5" />
          )}
        </svg>
        {labels.filter(isUncovered).map(({ place, words }) => (
          <span
            key={place}
            aria-hidden="true"
            className="absolute start-[14px] w-[48px] truncate text-[11.5px] leading-[14px] text-ink-2"
            style={{ top: Math.max(0, Math.min(height - 14, yOf(place) - 7)) }}
          >
            {words}
          </span>
        ))}
        <span
          aria-hidden="true"
          className="absolute start-0 rounded-e-[3px] bg-ivy px-1.5 text-[11px] leading-[17px] font-semibold text-raised"
          style={{ top: Math.max(0, Math.min(height - 17, yOf(first) - 8)) }}
        >
          {figure(first + 1)}
        </span>
      </div>
    </div>
  );
}
