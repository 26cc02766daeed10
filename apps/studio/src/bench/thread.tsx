import type { DryRun } from '@ivy/core';
import { useEffect, useState, type RefObject } from 'react';
import { hueAttribute, Seed } from '../shared/seed.js';

interface Line {
  /** End of the outline row. */
  row: { x: number; y: number };
  /** The facet on the page, clipped to what can be seen of it. */
  facet: { x: number; y: number; width: number; height: number; top: boolean; bottom: boolean } | null;
}

interface Props {
  stage: RefObject<HTMLElement | null>;
  frame: RefObject<HTMLIFrameElement | null>;
  focus: string;
  hue: number;
  /** Changes whenever the page lies elsewhere. */
  layout: number;
  /** What the page shows. */
  dryRun: DryRun | null;
  /** How many rows the outline has. */
  rows: number;
}

/** Joins the facet in hand: from its row in the outline to corner brackets round it on the live page. */
export function Thread({ stage, frame, focus, hue, layout, dryRun, rows }: Props) {
  const [line, setLine] = useState<Line | null>(null);
  useEffect(() => {
    let asked = 0;
    const draw = () => {
      cancelAnimationFrame(asked);
      asked = requestAnimationFrame(() => setLine(measure(stage.current, frame.current, focus)));
    };
    draw();
    // the page draws its answer a moment after it got it
    const later = setTimeout(draw, 120);
    const page = frame.current?.contentWindow;
    const outline = stage.current?.querySelector('nav');
    page?.addEventListener('scroll', draw);
    outline?.addEventListener('scroll', draw);
    addEventListener('resize', draw);
    return () => {
      cancelAnimationFrame(asked);
      clearTimeout(later);
      page?.removeEventListener('scroll', draw);
      outline?.removeEventListener('scroll', draw);
      removeEventListener('resize', draw);
    };
  }, [stage, frame, focus, layout, dryRun, rows]);

  const ready = dryRun?.answer.facets.some((one) => one.key === focus) ?? false;
  useEffect(() => {
    const facet = frame.current?.contentDocument?.querySelector(`[data-facet="${CSS.escape(focus)}"]`);
    facet?.scrollIntoView({ block: 'nearest' });
  }, [frame, focus, ready]);

  if (!line?.facet) return null;
  const { row, facet } = line;
  const end = { x: facet.x - 14, y: facet.y + 12 };
  const middle = row.x + 8;
  return (
    <div {...hueAttribute(hue)} className="pointer-events-none absolute inset-0 z-10" aria-hidden="true">
      <svg className="absolute inset-0 h-full w-full overflow-hidden" fill="none" stroke="var(--h)">
        <path
          d={`M${row.x} ${row.y}H${middle - 4}Q${middle} ${row.y} ${middle} ${row.y + (end.y > row.y ? 4 : -4)}V${end.y + (end.y > row.y ? -4 : 4)}Q${middle} ${end.y} ${middle + 4} ${end.y}H${facet.x}`}
          strokeWidth="2"
        />
        <Brackets facet={facet} />
      </svg>
      <span
        className="absolute grid h-[19px] w-[19px] place-items-center rounded-full bg-hue"
        style={{ left: end.x - 9, top: end.y - 9 }}
      >
        <span className="brightness-0 invert">
          <Seed hue={hue} size={10} />
        </span>
      </span>
    </div>
  );
}

function Brackets({ facet: { x, y, width, height, top, bottom } }: { facet: NonNullable<Line['facet']> }) {
  const arm = 11;
  const [right, foot] = [x + width, y + height];
  return (
    <>
      <path
        d={`M${x} ${y}V${foot}M${right} ${y}V${foot}${top ? `M${x} ${y}H${right}` : ''}${bottom ? `M${x} ${foot}H${right}` : ''}`}
        strokeWidth="1"
        strokeDasharray="1.5 3"
      />
      {top && <path d={`M${x} ${y + arm}V${y}H${x + arm}M${right - arm} ${y}H${right}V${y + arm}`} strokeWidth="2.5" />}
      {bottom && (
        <path
          d={`M${x} ${foot - arm}V${foot}H${x + arm}M${right - arm} ${foot}H${right}V${foot - arm}`}
          strokeWidth="2.5"
        />
      )}
    </>
  );
}

function measure(stage: HTMLElement | null, frame: HTMLIFrameElement | null, focus: string): Line | null {
  const row = stage?.querySelector(`[data-outline="${CSS.escape(focus)}"]`)?.getBoundingClientRect();
  const facet = frame?.contentDocument?.querySelector(`[data-facet="${CSS.escape(focus)}"]`)?.getBoundingClientRect();
  if (!stage || !frame || !row) return null;
  const origin = stage.getBoundingClientRect();
  const place = { x: row.right - origin.left, y: row.top + row.height / 2 - origin.top };
  const outer = frame.getBoundingClientRect();
  const scale = outer.width / frame.offsetWidth;
  if (!facet || facet.width === 0 || facet.bottom * scale < 24 || facet.top * scale > outer.height - 24)
    return { row: place, facet: null };
  const pad = 5;
  const top = Math.max(2, facet.top * scale - pad);
  const bottom = Math.min(outer.height - 2, facet.bottom * scale + pad - 3);
  return {
    row: place,
    facet: {
      x: outer.left - origin.left + facet.left * scale - pad,
      y: outer.top - origin.top + top,
      width: facet.width * scale + 2 * pad,
      height: bottom - top,
      top: top > 2,
      bottom: bottom < outer.height - 2,
    },
  };
}
