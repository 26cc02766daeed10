import { Monitor, Smartphone, Tablet } from 'lucide-react';
import { useEffect, useRef, useState, type RefObject } from 'react';

const widths = [
  { width: 390, name: 'Phone', Icon: Smartphone },
  { width: 834, name: 'Tablet', Icon: Tablet },
  { width: 1280, name: 'Desktop', Icon: Monitor },
] as const;

const margin = 18;

interface Props {
  slug: string;
  name: string;
  frame: RefObject<HTMLIFrameElement | null>;
  onLayout: () => void;
}

/** The live page on its desk, at the width of a phone, a tablet or a desktop, drawn as large as fits. */
export function Desk({ slug, name, frame, onLayout }: Props) {
  const [width, setWidth] = useState(834);
  const [room, setRoom] = useState({ width: 756, height: 600 });
  const desk = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const watcher = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (desk.current) watcher.observe(desk.current);
    return () => watcher.disconnect();
  }, []);
  const scale = Math.min(1, (room.width - 2 * margin) / width);
  useEffect(onLayout, [onLayout, width, scale, room]);
  const start = Math.max(margin, (room.width - width * scale) / 2);
  return (
    <main className="flex min-w-0 flex-1 flex-col">
      <div className="flex h-[36px] shrink-0 items-center gap-1 border-b border-rule bg-paper px-3">
        {widths.map((preset) => (
          <button
            key={preset.width}
            type="button"
            aria-pressed={preset.width === width}
            className="flex h-[27px] items-center gap-1.5 rounded-[3px] border border-transparent px-2 text-[13px] text-ink-2 aria-pressed:border-rule-2 aria-pressed:bg-raised aria-pressed:font-semibold aria-pressed:text-ink"
            onClick={() => setWidth(preset.width)}
          >
            <preset.Icon size={15} aria-hidden="true" /> {preset.name}{' '}
            <span className="mono text-[12px] font-normal text-ink-3">{preset.width}</span>
          </button>
        ))}
        <span className="ms-auto text-[13px] text-ink-3">drawn at {Math.round(scale * 100)} %</span>
      </div>
      <Ruler width={width} scale={scale} start={start} />
      <div ref={desk} className="squared relative min-h-0 flex-1 overflow-hidden">
        <iframe
          ref={frame}
          title={`Live page of ${name}`}
          src={`/preview/${slug}`}
          className="absolute top-0 origin-top-left border-x border-rule-2 bg-white"
          style={{ insetInlineStart: start, width, height: room.height / scale, transform: `scale(${scale})` }}
        />
      </div>
    </main>
  );
}

/** Page widths in CSS pixels, over the page they measure. */
function Ruler({ width, scale, start }: { width: number; scale: number; start: number }) {
  const marks = Array.from({ length: Math.floor(width / 20) + 1 }, (_, i) => i * 20);
  return (
    <svg className="mono h-[18px] w-full shrink-0 bg-desk" aria-hidden="true">
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
  );
}
