import { TriangleAlert } from 'lucide-react';
import { useDeferredValue, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { countOf, figure } from '../../shared/figures.js';
import { FindBox } from '../../shared/find-box.js';
import { Segments } from '../../shared/segments.js';
import { ago } from '../../shared/when.js';
import { Meadow } from './meadow.js';
import { bys, drawersFound, shelvesOf, type By, type Drawer, type Only } from './order.js';
import { Pulse } from '../live/pulse.js';
import { PulledOut } from './pulled-out.js';

/** Sources as drawers of a cabinet: found, put in order, and one of them pulled out. */
export function Cabinet({ drawers }: { drawers: readonly Drawer[] }) {
  const [words, setWords] = useState('');
  const [only, setOnly] = useState<Only>('all');
  const [by, setBy] = useState<By>('fresh');
  const [now] = useState(() => Date.now());
  const [pulled, setPulled] = useState<string | null>(null);
  const navigate = useNavigate();
  const found = drawersFound(drawers, useDeferredValue(words), only);
  const shelves = shelvesOf(found, by, now);
  const out = drawers.find(({ source }) => source.slug === pulled);
  const posts = drawers.reduce((sum, { source }) => sum + source.posts, 0);
  const press = (slug: string) => {
    if (slug === pulled) void navigate(`/sources/${slug}`);
    else setPulled(slug);
  };
  return (
    <section aria-label="Cabinet" className="mt-6">
      <div className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
        <h2 className="serif text-[23px] font-semibold">{countOf(drawers.length, 'source')}</h2>
        <span className="remark text-[15px] text-ink-2">with {countOf(posts, 'post')} in them</span>
        <span className="ms-auto">
          <FindBox
            label="Find a source, a field or a lens"
            placeholder="A source, field or lens"
            value={words}
            width={220}
            onFind={setWords}
          />
        </span>
        <select
          className="field h-[30px]"
          aria-label="Which sources"
          value={only}
          onChange={({ target }) => setOnly(target.value as Only)}
        >
          <option value="all">all</option>
          <option value="findings">with findings</option>
          <option value="no-lens">without a lens</option>
        </select>
        <Segments label="Sources by" value={by} ways={bys} onPick={setBy} />
      </div>
      <div className="flex flex-col gap-4 lg:flex-row lg:items-start">
        <div className="min-w-0 flex-1 border-2 border-double border-rule-2 bg-desk p-2.5" onKeyDown={walk}>
          {shelves.length === 0 && (
            <p className="remark p-6 text-[16px] text-ink-2">
              No drawer has that.{' '}
              <button
                type="button"
                className="link font-sans text-[14px] not-italic"
                onClick={() => {
                  setWords('');
                  setOnly('all');
                }}
              >
                Show all
              </button>
            </p>
          )}
          {shelves.map(({ heading, drawers: own }) => (
            <section key={heading} aria-label={heading} className="mb-2">
              <h3 className="remark mb-1 flex items-center gap-2 text-[14px] text-ink-2">
                {heading} <span className="h-px flex-1 bg-rule-2" aria-hidden="true" />
              </h3>
              <ul className="grid grid-cols-[repeat(auto-fill,minmax(176px,1fr))] gap-2">
                {own.map((drawer) => (
                  <li key={drawer.source.slug} className="min-w-0">
                    <Front
                      drawer={drawer}
                      isOut={drawer.source.slug === pulled}
                      onPress={() => press(drawer.source.slug)}
                    />
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
        {out && <PulledOut key={out.source.slug} drawer={out} onClose={() => setPulled(null)} />}
      </div>
    </section>
  );
}

/** Lenses that a drawer's front names. */
const named = 1;

function Front({
  drawer: { source, lenses },
  isOut,
  onPress,
}: {
  drawer: Drawer;
  isOut: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      data-drawer
      aria-expanded={isOut}
      className={`grid h-[86px] w-full content-between rounded-[2px] border bg-raised px-2.5 py-1.5 text-start ${isOut ? 'border-ivy shadow-[0_0_0_2px_var(--ivy)]' : 'border-rule-2 shadow-[0_2px_0_var(--rule)] hover:border-ink-3'}`}
      onClick={onPress}
    >
      <span className="flex items-baseline justify-between gap-2">
        <span className="serif truncate text-[16px] font-semibold">{source.name}</span>
        <span className="shrink-0 text-[13px] text-ink-2">{figure(source.posts)}</span>
      </span>
      <span className="flex items-end justify-between gap-2 overflow-hidden">
        <Meadow source={source} height={20} gap={8} />
        <span className="flex shrink-0 items-center gap-1.5 text-[12.5px] text-ink-2">
          {source.live && <Pulse state={source.live} isShort />} {ago(source.updatedAt)}
        </span>
      </span>
      <span className="flex items-baseline justify-between gap-2 text-[12.5px]">
        {lenses.length === 0 ? (
          <span className="remark text-ink-3">no lens yet</span>
        ) : (
          <span className="truncate text-ivy">
            {lenses
              .slice(0, named)
              .map(({ name }) => name)
              .join(', ')}
            {lenses.length > named && ` +${lenses.length - named}`}
          </span>
        )}
        {source.findingCount > 0 && (
          <span className="flex shrink-0 items-center gap-1 text-rust">
            <TriangleAlert size={12} aria-hidden="true" /> {figure(source.findingCount)}
            <span className="sr-only"> findings</span>
          </span>
        )}
      </span>
    </button>
  );
}

/** Arrows go from drawer to drawer: to the next one beside, or to the nearest one above or below. */
function walk(event: KeyboardEvent<HTMLElement>): void {
  const on = document.activeElement;
  if (!(on instanceof HTMLElement) || !('drawer' in on.dataset)) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-drawer]')];
  const at = all.indexOf(on);
  const here = on.getBoundingClientRect();
  const near = (isThere: (box: DOMRect) => boolean) =>
    all
      .map((one) => ({ one, box: one.getBoundingClientRect() }))
      .filter(({ box }) => isThere(box))
      .sort((a, b) => distance(a.box, here) - distance(b.box, here))[0]?.one;
  const ways: Record<string, (() => HTMLElement | undefined) | undefined> = {
    ArrowRight: () => all[at + 1],
    ArrowLeft: () => all[at - 1],
    ArrowDown: () => near((box) => box.top > here.bottom),
    ArrowUp: () => near((box) => box.bottom < here.top),
    Home: () => all[0],
    End: () => all.at(-1),
  };
  const next = ways[event.key]?.();
  if (!next) return;
  event.preventDefault();
  next.focus();
}

function distance(a: DOMRect, b: DOMRect): number {
  return Math.hypot(a.left - b.left, (a.top - b.top) * 2);
}
