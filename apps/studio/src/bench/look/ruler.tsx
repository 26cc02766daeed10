import { spanNames, type Lens, type SpanName } from '@ivy/core';
import { spanAt } from '@ivy/view';
import { Flag as FlagIcon } from 'lucide-react';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { flagRange, spanWords, type Flag } from './edits.js';

interface Props {
  lens: Lens;
  /** CSS pixels of the page, how large each is drawn, and where the page begins. */
  width: number;
  scale: number;
  start: number;
  /** Pixels there are for the ruler. */
  room: number;
  onFlag: (flag: Flag, width: number) => void;
}

const flags: Record<Exclude<SpanName, 'phone'>, Flag> = { tablet: 'tabletFrom', desktop: 'desktopFrom' };

/** Page widths in CSS pixels over the page they measure, with a flag where each span of widths begins. */
export function Ruler({ lens, width, scale, start, room, onFlag }: Props) {
  const { look } = lens;
  const marks = Array.from({ length: Math.floor(width / 20) + 1 }, (_, i) => i * 20);
  const begins: Record<SpanName, number> = { phone: 0, tablet: look.tabletFrom, desktop: look.desktopFrom };
  const current = spanAt(look, width);
  /** Where a width is drawn; what is out of sight stands at the edge. */
  const placeOf = (at: number, last: number) => Math.min(start + at * scale, last);
  return (
    <div className="relative h-[37px] shrink-0 overflow-hidden bg-desk">
      {spanNames.map((span, i) => {
        const next = spanNames[i + 1];
        const from = placeOf(begins[span], room);
        const to = next === undefined ? room : placeOf(begins[next], room);
        if (to - from < 30) return null;
        return (
          <span
            key={span}
            className={`absolute top-0 h-[19px] truncate ps-[17px] pe-1 text-[13px] leading-[19px] ${span === current ? 'bg-ivy-soft text-ivy' : 'text-ink-2'} remark`}
            style={{ insetInlineStart: from, width: to - from - (to >= room - 18 && next !== undefined ? 20 : 0) }}
          >
            {span}: {spanWords(look, span)}
          </span>
        );
      })}
      <svg className="mono absolute bottom-0 h-[18px] w-full" aria-hidden="true">
        {marks.map((mark) => {
          const x = start + mark * scale;
          const tall = mark % 100 === 0 ? 9 : 4;
          return (
            <g key={mark}>
              <path d={`M${x} 18v-${tall}`} stroke="var(--rule-2)" />
              {mark % 100 === 0 && mark > 0 && (
                <text x={x} y="9" textAnchor="middle" fontSize="11" fill="var(--ink-2)">
                  {mark}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      {(['tablet', 'desktop'] as const).map((span) => (
        <FlagHandle
          key={span}
          span={span}
          at={begins[span]}
          x={placeOf(begins[span], room - (span === 'desktop' ? 18 : 40))}
          scale={scale}
          range={flagRange[flags[span]]}
          onMove={(next) => onFlag(flags[span], next)}
        />
      ))}
    </div>
  );
}

/** The flag where a span begins, to be pulled or moved by the arrow keys. */
function FlagHandle({
  span,
  at,
  x,
  scale,
  range: [least, most],
  onMove,
}: {
  span: SpanName;
  at: number;
  x: number;
  scale: number;
  range: readonly [number, number];
  onMove: (width: number) => void;
}) {
  const from = useRef<{ x: number; at: number } | null>(null);
  const [isPulled, setPulled] = useState(false);
  const end = () => {
    from.current = null;
    setPulled(false);
  };
  const press = (event: KeyboardEvent) => {
    const by = { ArrowRight: 10, ArrowUp: 10, ArrowLeft: -10, ArrowDown: -10, PageUp: 100, PageDown: -100 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onMove(at + by);
  };
  const move = (event: PointerEvent) => {
    if (from.current) onMove(from.current.at + (event.clientX - from.current.x) / scale);
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${span} from`}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-valuenow={at}
      aria-valuetext={`${at} pixels`}
      title={`${span} from ${at} px: pull it`}
      className="absolute inset-y-0 flex w-[18px] cursor-ew-resize touch-none justify-start border-s-2 border-ivy text-ivy"
      style={{ insetInlineStart: x - 1 }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, at };
        setPulled(true);
      }}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={press}
    >
      <FlagIcon size={14} fill="currentColor" strokeWidth={1.5} className="mt-[2px] -ms-[3px]" aria-hidden="true" />
      {isPulled && (
        <span className="mono absolute bottom-0 start-0 bg-ink px-1 text-[11px] text-paper" aria-hidden="true">
          {at}
        </span>
      )}
    </div>
  );
}
