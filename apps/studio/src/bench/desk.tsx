import type { Lens } from '@ivy/core';
import { schemesOf } from '@ivy/view';
import { Monitor, Moon, Smartphone, Sun, Tablet } from 'lucide-react';
import type { PageState } from '@ivy/runtime';
import { useEffect, useRef, useState, type CSSProperties, type ReactNode, type RefObject } from 'react';
import { usePull } from '../shared/use-pull.js';
import { BudgetLine } from './budget-line.js';
import type { Flag } from './look/edits.js';
import { Ruler } from './look/ruler.js';

const widths = [
  { width: 390, name: 'Phone', Icon: Smartphone },
  { width: 834, name: 'Tablet', Icon: Tablet },
  { width: 1280, name: 'Desktop', Icon: Monitor },
] as const;

const margin = 18;
/** Widths a page can be given by its edge. */
const [narrowest, widest] = [280, 1920];

/** What the desk can show: a state of the live page, or the page as it is without scripts. */
export type DeskState = PageState | 'plain';

const states: Record<DeskState, string> = {
  live: 'as addressed',
  first: 'at the first visit',
  empty: 'with nothing found',
  loading: 'while loading',
  failed: 'when loading failed',
  plain: 'without scripts',
};

/** The first one fits the room there is. */
const zooms = ['fit', '1', '0.75', '0.5'] as const;
type Zoom = (typeof zooms)[number];

interface Props {
  slug: string;
  name: string;
  lens: Lens;
  /** CSS pixels. */
  width: number;
  /** Whether the page is shown in the dark, where it can be seen both ways. */
  isDark: boolean;
  frame: RefObject<HTMLIFrameElement | null>;
  state: DeskState;
  address: string;
  /** What the page is read in. */
  language: string;
  /** Goes up each time the draft is saved. */
  saves: number;
  onState: (state: DeskState) => void;
  onGo: (address: string) => void;
  /** What stands below the page. */
  below?: ReactNode;
  onLayout: () => void;
  onWidth: (width: number) => void;
  onFlag: (flag: Flag, width: number) => void;
  onDark: (isDark: boolean) => void;
}

/** The live page on its desk, at the width of a phone, a tablet or a desktop, drawn as large as fits. */
export function Desk(props: Props) {
  const { slug, name, lens, frame, state, address, language, saves, width, isDark } = props;
  const { onState, onGo, onLayout, onWidth, onFlag, onDark } = props;
  const [zoom, setZoom] = useState<Zoom>('fit');
  const [dragging, setDragging] = useState(false);
  const [room, setRoom] = useState({ width: 756, height: 600 });
  const desk = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const watcher = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (desk.current) watcher.observe(desk.current);
    return () => watcher.disconnect();
  }, []);
  const fitting = Math.min(1, (room.width - 2 * margin) / width);
  const scale = zoom === 'fit' ? fitting : Number(zoom);
  useEffect(onLayout, [onLayout, width, scale, room]);
  const start = Math.max(margin, (room.width - width * scale) / 2);
  const place: CSSProperties = {
    insetInlineStart: start,
    width,
    height: room.height / scale,
    transform: `scale(${scale})`,
    // while the edge is dragged over the page, the page must not take the pointer
    pointerEvents: dragging ? 'none' : 'auto',
  };
  return (
    <main className="flex min-h-0 min-w-0 flex-1 flex-col">
      <div className="flex h-[36px] shrink-0 items-center gap-1 border-b border-rule bg-paper px-3">
        {widths.map((preset) => (
          <button
            key={preset.width}
            type="button"
            aria-pressed={preset.width === width}
            className="flex h-[27px] items-center gap-1.5 rounded-[3px] border border-transparent px-2 text-[13px] text-ink-2 aria-pressed:border-rule-2 aria-pressed:bg-raised aria-pressed:font-semibold aria-pressed:text-ink"
            onClick={() => onWidth(preset.width)}
          >
            <preset.Icon size={15} aria-hidden="true" /> <span className="max-[1120px]:sr-only">{preset.name}</span>{' '}
            <span className="mono text-[12px] font-normal text-ink-3">{preset.width}</span>
          </button>
        ))}
        {!widths.some((preset) => preset.width === width) && (
          <span className="mono ms-1 text-[12px] text-ink-2">{width} wide</span>
        )}
        {schemesOf(lens.look).length > 1 && (
          <button
            type="button"
            className="icon-button"
            aria-pressed={isDark}
            aria-label="The page in the dark"
            title={isDark ? 'Show it in the light' : 'Show it in the dark'}
            onClick={() => onDark(!isDark)}
          >
            {isDark ? <Sun size={15} /> : <Moon size={15} />}
          </button>
        )}
        <label className="ms-auto flex items-center text-[13px] text-ink-3">
          <span className="max-[1240px]:sr-only">page </span>
          <select
            className="h-[27px] max-w-[150px] min-w-0 rounded-[3px] bg-transparent px-1 font-semibold text-ink-2"
            aria-label="State of the page"
            value={state}
            onChange={(event) => onState(event.target.value as DeskState)}
          >
            {Object.entries(states).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center text-[13px] text-ink-3 max-[700px]:hidden">
          <select
            className="h-[27px] rounded-[3px] bg-transparent px-1 text-ink-2"
            aria-label="Zoom"
            value={zoom}
            onChange={(event) => setZoom(event.target.value as Zoom)}
          >
            {zooms.map((one) => (
              <option key={one} value={one}>
                {one === 'fit' ? `to fit, ${percent(fitting)}` : percent(Number(one))}
              </option>
            ))}
          </select>
        </label>
      </div>
      <Ruler {...{ lens, width, scale, start, onFlag }} room={room.width} />
      <div
        ref={desk}
        className={`squared relative min-h-0 flex-1 ${zoom === 'fit' ? 'overflow-hidden' : 'overflow-x-auto overflow-y-hidden'}`}
      >
        <iframe
          ref={frame}
          title={`Live page of ${name}`}
          src={`/preview/${slug}`}
          className={pageClass}
          style={place}
          // it stays, unseen, behind the plain page: it asks what the Bench tells numbers by
          inert={state === 'plain'}
        />
        {state === 'plain' && <PlainPage {...{ slug, name, address, language, saves, onGo }} style={place} />}
        <Edge
          width={width}
          scale={scale}
          at={start + width * scale}
          centred={start > margin}
          onWidth={onWidth}
          onDrag={setDragging}
        />
      </div>
      <BudgetLine {...{ slug, frame, address, saves, width }} />
      {props.below}
    </main>
  );
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

const pageClass = 'absolute top-0 origin-top-left border-x border-rule-2 bg-white';

interface PlainProps extends Pick<Props, 'slug' | 'name' | 'address' | 'language' | 'saves' | 'onGo'> {
  style: CSSProperties;
}

/** The saved draft as the server draws it for visitors without scripts. Its links and its form lead the Bench along. */
function PlainPage({ slug, name, address, language, saves, style, onGo }: PlainProps) {
  const page = useRef<HTMLIFrameElement>(null);
  const path = `/l/${slug}/draft`;
  // which language it is asked for in is the desk's to say, and no part of the address
  const asked = `~lang=${language}`;
  const url = `${path}?${asked}${address === '' ? '' : `&${address}`}`;
  const withoutAsked = (search: string) =>
    search
      .replace(/^\?/, '')
      .split('&')
      .filter((one) => !one.startsWith('~lang='))
      .join('&');
  useEffect(() => page.current?.contentWindow?.location.replace(url), [saves, url]);
  // the page itself runs nothing; where it would go the Bench goes, so that back and forward take one step a choice
  const lead = () => {
    const sheet = page.current?.contentDocument;
    sheet?.addEventListener('submit', (event) => {
      event.preventDefault();
      const sent = new FormData(event.target as HTMLFormElement);
      const query = new URLSearchParams([...sent] as [string, string][]).toString();
      void whereSent(path, query).then((search) => onGo(withoutAsked(search)));
    });
    sheet?.addEventListener('click', (event) => {
      const link = (event.target as Element).closest('a');
      if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
      event.preventDefault();
      if (link.pathname === path) onGo(withoutAsked(link.search));
    });
  };
  return (
    <iframe
      ref={page}
      title={`Page of ${name} without scripts`}
      sandbox="allow-forms allow-same-origin"
      className={pageClass}
      style={style}
      onLoad={lead}
    />
  );
}

/** The address a form leads to: the server puts what was sent as all addresses are, and sends its client there. */
async function whereSent(path: string, form: string): Promise<string> {
  try {
    return new URL((await fetch(`${path}?${form}`)).url).search.replace(/^\?/, '');
  } catch {
    // without an answer the page can't be shown either; the address is at least not lost
    return form;
  }
}

const edgeKeys = { ArrowRight: 10, ArrowLeft: -10, PageUp: 100, PageDown: -100 };

/** The far edge of the page, to be pulled to any width, or moved by the arrow keys. */
function Edge({
  width,
  scale,
  at,
  centred,
  onWidth,
  onDrag,
}: {
  width: number;
  scale: number;
  at: number;
  /** The page grows to both sides, so the edge moves half as far as the width. */
  centred: boolean;
  onWidth: (width: number) => void;
  onDrag: (dragging: boolean) => void;
}) {
  const pull = usePull({
    axis: 'x',
    value: width,
    keys: edgeKeys,
    factor: (centred ? 2 : 1) / scale,
    onValue: (next) => onWidth(Math.round(Math.max(narrowest, Math.min(widest, next)))),
    onPulling: onDrag,
  });
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label="Width of the page"
      aria-valuemin={narrowest}
      aria-valuemax={widest}
      aria-valuenow={width}
      title="Pull to any width"
      className="absolute inset-y-0 grid w-[16px] cursor-ew-resize touch-none place-items-center"
      style={{ insetInlineStart: at }}
      {...pull}
    >
      <span className="h-[44px] w-[5px] rounded-full border border-rule-2 bg-raised" aria-hidden="true" />
    </div>
  );
}
