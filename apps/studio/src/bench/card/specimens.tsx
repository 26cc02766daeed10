import type { DryRun, Look, SpecimenKind } from '@ivy/core';
import type { FromPreview, ToPreview } from '@ivy/runtime';
import { lookSheet, pageSheet } from '@ivy/view';
import { ChevronDown, ChevronUp, TriangleAlert } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { strainsOn, strainWords, type Strain } from './strain.js';

interface Props {
  slug: string;
  name: string;
  look: Look;
  dryRun: DryRun | null;
  /** CSS pixels a card of the live page is wide. */
  cardWidth: number;
  /** Whether they are folded out at first: where there is room for them. */
  startsOpen?: boolean;
}

const names: Record<SpecimenKind, string> = {
  'longest-title': 'longest title',
  'no-picture': 'no picture',
  'most-terms': 'most terms',
  'right-to-left': 'right to left',
  'title-only': 'title only',
};

/** Pixels that the tray shows of cards; pixels between them on their page. */
const tall = 190;
const between = 24;
/** Cards are drawn so small at the least that five stand beside one another. */
const largest = 0.66;

/** Cards of the posts that strain them most, drawn as the page draws them, so that what breaks is seen beforehand. */
export function Specimens({ slug, name, look, dryRun, cardWidth, startsOpen = true }: Props) {
  const [isOpen, setOpen] = useState(startsOpen);
  const count = dryRun?.specimens.length ?? 0;
  if (count === 0) return null;
  return (
    <section className="shrink-0 border-t border-rule bg-paper" aria-label="Specimens that strain the card">
      <button
        type="button"
        className="flex h-[30px] w-full items-center gap-2 px-3.5 text-start"
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        <span className="remark text-[15px]">Specimens that strain it</span>
        <span className="text-[12.5px] text-ink-3">{count} of your posts</span>
        <span className="ms-auto text-ink-3">{isOpen ? <ChevronDown size={15} /> : <ChevronUp size={15} />}</span>
      </button>
      {isOpen && dryRun && <Tray {...{ slug, name, look, cardWidth }} dryRun={dryRun} />}
    </section>
  );
}

function Tray({ slug, name, look, dryRun, cardWidth }: Props & { dryRun: DryRun }) {
  const tray = useRef<HTMLDivElement>(null);
  const frame = useRef<HTMLIFrameElement>(null);
  const [room, setRoom] = useState(700);
  const [strains, setStrains] = useState<Strain[]>([]);
  const { specimens } = dryRun;
  useEffect(() => {
    const watcher = new ResizeObserver(([entry]) => entry && setRoom(entry.contentRect.width));
    if (tray.current) watcher.observe(tray.current);
    return () => watcher.disconnect();
  }, []);
  const width = specimens.length * cardWidth + (specimens.length - 1) * between;
  useSpecimenPage({ frame, slug, look, dryRun, onDrawn: setStrains });
  const tallest = Math.max(0, ...strains.map(({ height }) => height));
  const scale = Math.min(largest, (room - 28) / width, tall / Math.max(1, tallest + 6));
  const height = tallest === 0 ? tall : Math.min(tall, (tallest + 6) * scale);
  return (
    <div ref={tray} className="squared overflow-hidden border-t border-rule px-[14px] pt-2.5">
      <div className="relative overflow-hidden" style={{ height }}>
        <iframe
          ref={frame}
          title={`Specimens of ${name}`}
          src={`/preview/${slug}?shows=cards`}
          className="absolute top-0 left-0 origin-top-left border-0"
          style={{ width, height: tall / scale, transform: `scale(${scale})` }}
          tabIndex={-1}
          inert
        />
        {strains.length === specimens.length &&
          strains.map(({ height }, i) => (
            <div
              key={specimens[i]!.kind}
              className="unused absolute"
              aria-hidden="true"
              style={{
                left: i * (cardWidth + between) * scale,
                width: cardWidth * scale,
                top: height * scale + 5,
                height: Math.max(0, (tallest - height) * scale - 5),
              }}
            />
          ))}
      </div>
      <ul className="flex" style={{ gap: between * scale }}>
        {specimens.map(({ kind, item }, i) => {
          const strain = strains[i];
          const { words, isFault } = strain ? strainWords(kind, strain) : { words: '', isFault: false };
          return (
            <li
              key={kind}
              className={`min-w-0 border border-b-0 bg-raised px-2 py-1 ${isFault ? 'border-rust' : 'border-rule'}`}
              style={{ width: cardWidth * scale }}
              title={item.title}
            >
              <span className="remark block truncate text-[14px] leading-tight">{names[kind]}</span>
              <span
                className={`flex items-center gap-1 truncate text-[12.5px] ${isFault ? 'font-semibold text-rust' : 'text-ink-2'}`}
              >
                {isFault && <TriangleAlert size={13} className="shrink-0" aria-hidden="true" />}
                <span className="truncate">{words}</span>
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function say(frame: RefObject<HTMLIFrameElement | null>, message: ToPreview): void {
  frame.current?.contentWindow?.postMessage(message, location.origin);
}

/** Milliseconds until fonts and pictures have their place. */
const settled = 350;

/** Answers a frame of cards alone with the specimens, in one row, and measures what comes of them. */
function useSpecimenPage({
  frame,
  slug,
  look,
  dryRun,
  onDrawn,
}: {
  frame: RefObject<HTMLIFrameElement | null>;
  slug: string;
  look: Look;
  dryRun: DryRun;
  onDrawn: (strains: Strain[]) => void;
}): void {
  const [isLoaded, setLoaded] = useState(false);
  const answer = useEffectEvent((id: number) => {
    const { settings, specimens } = dryRun;
    const items = specimens.map(({ item }) => item);
    // what the tray shows are cards: in which way they lie is the page's, but side by side
    const placed = { ...settings.look.desktop, arrangement: 'grid' as const };
    const inRow = { ...settings.look, phone: placed, tablet: placed, desktop: placed };
    const shown = { ...dryRun.answer, items, matched: items.length, page: 1, pages: 1, notices: [] };
    const sheet = `${lookSheet(look, settings, slug)}
      ${pageSheet(look)}
      html body { padding: 0; overflow: hidden }
      .ivy-cards { display: grid; gap: ${between}px; grid-template-columns: repeat(${items.length}, minmax(0, 1fr)); align-items: start }`;
    say(frame, { ivy: 'reply', id, reply: { settings: { ...settings, look: inRow }, answer: shown, sheet } });
    setLoaded(true);
  });
  useEffect(() => {
    const listen = (event: MessageEvent<FromPreview>) => {
      if (event.origin !== location.origin || event.source !== frame.current?.contentWindow) return;
      if (event.data.ivy === 'ask') answer(event.data.id);
    };
    addEventListener('message', listen);
    return () => removeEventListener('message', listen);
  }, [frame]);
  const { settings, specimens } = dryRun;
  const drawing = JSON.stringify([settings.card, look, specimens.map(({ item }) => item.id)]);
  useEffect(() => {
    if (!isLoaded) return;
    say(frame, { ivy: 'go', address: '' });
    const page = frame.current?.contentDocument;
    const timer = setTimeout(() => page && onDrawn(strainsOn(page)), settled);
    return () => clearTimeout(timer);
  }, [drawing, isLoaded, frame, onDrawn]);
}
