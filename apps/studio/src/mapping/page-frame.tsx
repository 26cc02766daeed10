import { useEffect, useMemo, useRef, useState, type CSSProperties, type MouseEvent } from 'react';
import { hueAttribute } from '../shared/seed.js';

/** Something drawn over the page, at an element of it. */
export interface Outline {
  element: Element;
  /** How it is drawn: an item, one that lacks something, what is in hand, what a press would take, or a bead with a number. */
  as: 'item' | 'lacks' | 'part' | 'hand' | 'hover' | 'bead';
  hue?: number | null;
  words?: string;
}

interface Props {
  page: Document;
  /** Where it stands, so that its sheets and pictures are found; empty where that is not known. */
  address: string;
  outlines: readonly Outline[];
  onHover: (element: Element | null) => void;
  onPress: (element: Element) => void;
}

interface Shown {
  /** Elements in the frame by those of the page they show. */
  byOwn: Map<Element, Element>;
  own: Map<Element, Element>;
  document: Document;
}

const leastHeight = 300;
/** What of a page takes the focus. */
const tabStops =
  'a[href], area[href], button, input, select, textarea, summary, audio, video, [tabindex], [contenteditable]';

/**
 * A page of others as it looks, with what is marked drawn over it. The frame lets no script run; what lies over it takes
 * the presses, so that nothing of the page is followed.
 */
export function PageFrame({ page, address, outlines, onHover, onPress }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [shown, setShown] = useState<Shown | null>(null);
  const [height, setHeight] = useState(leastHeight);
  const [layout, setLayout] = useState(0);

  const isLoaded = useRef(false);
  const show = () => {
    const document = frame.current?.contentDocument;
    if (!document || !isLoaded.current) return;
    const copy = document.importNode(page.documentElement, true);
    const [own, copies] = [[...page.querySelectorAll('*')], [copy, ...copy.querySelectorAll('*')]];
    if (address !== '') {
      const base = document.createElement('base');
      base.href = address;
      // first of all, since sheets are asked for as soon as they are there
      copy.querySelector('head')?.prepend(base);
    }
    // what lies over it takes the presses, and the lists beside it the keys: one does not tab through someone's page
    for (const one of copy.querySelectorAll(tabStops)) one.setAttribute('tabindex', '-1');
    // it is as tall as what it shows, so that there is nothing to scroll in it
    copy.style.overflow = 'hidden';
    document.replaceChild(copy, document.documentElement);
    setShown({
      byOwn: new Map(own.map((one, i) => [one, copies[i]!])),
      own: new Map(copies.map((one, i) => [one, own[i]!])),
      document,
    });
  };
  // what is shown is drawn into another document, which is no state of this one
  useEffect(show, [page, address]);

  useEffect(() => {
    if (!shown) return;
    const { document } = shown;
    const measure = () => {
      setHeight(Math.max(leastHeight, document.documentElement.scrollHeight));
      setLayout((n) => n + 1);
    };
    measure();
    const watcher = typeof ResizeObserver === 'undefined' ? null : new ResizeObserver(measure);
    watcher?.observe(document.body);
    // sheets and pictures come when they come
    const late = [200, 800, 2000].map((ms) => setTimeout(measure, ms));
    return () => {
      watcher?.disconnect();
      late.forEach(clearTimeout);
    };
  }, [shown]);

  const at = ({ nativeEvent: { offsetX, offsetY } }: MouseEvent): Element | null => {
    const found = shown?.document.elementFromPoint(offsetX, offsetY);
    return (found && shown?.own.get(found)) ?? null;
  };
  return (
    <div className="relative bg-white" style={{ height }}>
      <iframe
        ref={frame}
        src="/frame"
        title="The page"
        sandbox="allow-same-origin"
        tabIndex={-1}
        className="block h-full w-full border-0"
        onLoad={() => {
          isLoaded.current = true;
          show();
        }}
      />
      <div
        className="absolute inset-0 cursor-crosshair overflow-hidden"
        data-over-page
        onMouseMove={(event) => onHover(at(event))}
        onMouseLeave={() => onHover(null)}
        onClick={(event) => {
          const element = at(event);
          if (element) onPress(element);
        }}
      >
        {shown && <Outlines outlines={outlines} byOwn={shown.byOwn} layout={layout} />}
      </div>
    </div>
  );
}

function Outlines({
  outlines,
  byOwn,
  layout,
}: {
  outlines: readonly Outline[];
  byOwn: Shown['byOwn'];
  layout: number;
}) {
  // where things stand is another matter whenever the page is laid out anew
  const placed = useMemo(
    () =>
      outlines.flatMap((outline) => {
        const box = layout >= 0 ? byOwn.get(outline.element)?.getBoundingClientRect() : undefined;
        return box && box.width > 0 ? { outline, box } : [];
      }),
    [outlines, byOwn, layout],
  );
  return placed.map(({ outline, box }, i) => <OutlineBox key={i} outline={outline} box={box} />);
}

const looks: Record<Outline['as'], string> = {
  item: 'border border-[#1f5b40]/45',
  lacks: 'border border-dashed border-[#9a4a14]',
  part: 'border border-[var(--h)]/70',
  hand: 'border-2 border-[var(--h)] bg-[var(--h)]/10',
  hover: 'border-2 border-dashed border-[#1f5b40] bg-[#1f5b40]/5',
  bead: '',
};

function OutlineBox({ outline: { as, hue, words }, box }: { outline: Outline; box: DOMRect }) {
  const style = useMemo<CSSProperties>(
    () =>
      as === 'bead'
        ? { left: box.left + box.width / 2, top: box.bottom - 2 }
        : { left: box.left - 2, top: box.top - 2, width: box.width + 4, height: box.height + 4 },
    [as, box],
  );
  if (as === 'bead') {
    const none = words === 'none';
    return (
      <span
        className={`pointer-events-none absolute -translate-x-1/2 rounded-full border bg-[#fcfaf4] px-1.5 text-[11px] leading-[15px] font-semibold ${none ? 'border-[#9a4a14] text-[#9a4a14]' : 'border-[var(--h)] text-[var(--t)]'}`}
        style={style}
        {...(hue ? hueAttribute(hue) : {})}
      >
        {words}
      </span>
    );
  }
  return (
    <span
      className={`pointer-events-none absolute rounded-[2px] ${looks[as]}`}
      style={style}
      data-outline={as}
      {...(hue ? hueAttribute(hue) : {})}
    >
      {words && (
        <i className="serif absolute end-full top-0 me-1 text-[11px] text-[#4b5344] not-italic" aria-hidden="true">
          {words}
        </i>
      )}
    </span>
  );
}
