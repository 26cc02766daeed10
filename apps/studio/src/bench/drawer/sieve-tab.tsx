import { X } from 'lucide-react';
import { useCallback, useState } from 'react';
import { countOf, figure } from '../../shared/figures.js';
import { hueAttribute, Seed } from '../../shared/seed.js';
import type { DrawerParts } from './parts.js';
import { Fallen } from './fallen.js';
import { layOut, type Mesh, type MeshCounts } from './sieve-layout.js';

/** Where the band begins: above it each mesh says what it is. */
const top = 44;

/** All posts on the left, what each facet lets fall out below its mesh, what is left on the right: to scale. */
export function SieveTab(props: DrawerParts) {
  const { lens, dryRun, ghost, hues, labelOf, onFocus } = props;
  const [box, size] = useSize();
  const [fallen, setFallen] = useState<string | null>(null);
  if (!dryRun) return <p className="remark p-4 text-ink-3">The sieve comes with the first answer…</p>;
  const { sieve, answer } = dryRun;
  const then = ghost?.dryRun.sieve ?? null;
  const band = Math.max(30, Math.min(96, size.height - top - 32));
  const order = lens.facets.map(({ key }) => key);
  const { meshes, start, end } = layOut(order, sieve, then, size.width, band);
  const noun = answer.total === 1 ? 'post' : 'posts';
  const fallenAt = meshes.find(({ key, now }) => key === fallen && (now?.fallen ?? 0) > 0);
  return (
    <div ref={box} className="relative h-full overflow-hidden" data-sieve="">
      <ul className="sr-only">
        <li>
          {countOf(sieve.total, 'post')}, {figure(sieve.matched)} shown{then && `, would be ${figure(then.matched)}`}
        </li>
        {sieve.facets.map(({ key, alone, without, left }) => (
          <li key={key}>
            {labelOf(key)}: alone leaves {figure(alone)}, without it {figure(without - sieve.matched)} more,{' '}
            {figure(left)} left
          </li>
        ))}
      </ul>
      {size.width > 0 && (
        <svg width={size.width} height={size.height} className="absolute inset-0" aria-hidden="true">
          <defs>
            {meshes.map(({ key }) => (
              <g key={key} {...hueAttribute(hues.get(key) ?? 1)}>
                <linearGradient id={`fall-${key}`} x1="0" y1="0" x2="0" y2="1">
                  <stop offset="0" stopColor="var(--h)" stopOpacity="0.34" />
                  <stop offset="1" stopColor="var(--h)" stopOpacity="0.02" />
                </linearGradient>
                <pattern
                  id={`hatch-${key}`}
                  width="6"
                  height="6"
                  patternUnits="userSpaceOnUse"
                  patternTransform="rotate(45)"
                >
                  <rect width="6" height="6" fill="var(--b)" />
                  <rect width="1.6" height="6" fill="var(--h)" />
                </pattern>
              </g>
            ))}
          </defs>
          <rect
            x={start.x}
            y={top}
            width={(meshes[0]?.x ?? end.x) - start.x}
            height={start.height}
            fill="var(--ivy-soft)"
          />
          {meshes.map((mesh) => (
            <MeshDrawing key={mesh.key} mesh={mesh} bottom={size.height} hue={hues.get(mesh.key) ?? 1} />
          ))}
          {end.height > 0 && (
            <path
              d={`M${end.x - 60} ${top + 2.5}h56v-4.5l10 6.5l-10 6.5v-4.5h-56z`}
              fill="var(--ivy)"
              transform="translate(0,-2)"
            />
          )}
        </svg>
      )}
      <p className="absolute top-1.5 start-3.5 leading-tight" aria-hidden="true">
        <b className="block font-display text-[19px] font-semibold">{figure(sieve.total)}</b>
        <span className="text-[12.5px] text-ink-2">all {noun}</span>
      </p>
      {meshes.map((mesh) => (
        <MeshWords
          key={mesh.key}
          mesh={mesh}
          label={labelOf(mesh.key)}
          hue={hues.get(mesh.key) ?? 1}
          bottom={size.height}
          isOpen={fallenAt?.key === mesh.key}
          onFocus={() => onFocus(mesh.key)}
          onFallen={() => setFallen(fallen === mesh.key ? null : mesh.key)}
        />
      ))}
      <p className="absolute leading-tight" style={{ insetInlineStart: end.x + 14, top: top - 12 }} aria-hidden="true">
        <b className="block font-display text-[23px] font-semibold text-ivy">{figure(sieve.matched)}</b>
        {then && then.matched !== sieve.matched && (
          <b className="ghost-figure block font-display text-[17px]">→ {figure(then.matched)}</b>
        )}
        <span className="text-[12.5px] text-ink-2">shown</span>
      </p>
      {meshes.length === 0 && (
        <p className="remark absolute start-3.5 text-[15px] text-ink-2" style={{ top: top + 8 + band / 2 - 16 }}>
          <span className="bg-ivy-soft ps-3">
            Nothing is chosen, so nothing falls out. Choose something on the page.
          </span>
        </p>
      )}
      {fallenAt && (
        <div className="absolute inset-0 flex flex-col bg-raised" {...hueAttribute(hues.get(fallenAt.key) ?? 1)}>
          <p className="flex h-[30px] shrink-0 items-center gap-2 ps-3.5 pe-9">
            <Seed hue={hues.get(fallenAt.key) ?? 1} />
            <b className="font-semibold text-hue-text">{countOf(fallenAt.now!.fallen, 'post')}</b> fall out at{' '}
            {labelOf(fallenAt.key)}
            <button
              type="button"
              className="icon-button ms-auto"
              aria-label="Back to the sieve"
              onClick={() => setFallen(null)}
            >
              <X size={15} />
            </button>
          </p>
          <Fallen {...props} at={fallenAt.key} />
        </div>
      )}
    </div>
  );
}

/** The mesh itself, what falls out below it and what goes on, as shapes. */
function MeshDrawing({ mesh, bottom, hue }: { mesh: Mesh; bottom: number; hue: number }) {
  const { key, x, end, before, after, ghost, now } = mesh;
  const [from, to] = [top + after, top + before];
  const reach = Math.min(100, (end - x) * 0.75);
  const low = Math.max(bottom, to);
  const grown = ghost && ghost.after !== after;
  return (
    <g {...hueAttribute(hue)}>
      <rect x={x} y={top} width={end - x} height={after} fill="var(--ivy-soft)" />
      {before > after && (
        <path
          d={`M${x} ${from}C${x + reach * 0.45} ${from} ${x + reach * 0.8} ${from + (low - from) * 0.45} ${x + reach} ${low}H${x + 6}C${x + 3} ${to + (low - to) * 0.5} ${x} ${to + 6} ${x} ${to}z`}
          fill={`url(#fall-${key})`}
        />
      )}
      {grown && (
        <rect
          x={x}
          y={top + Math.min(after, ghost.after)}
          width={end - x}
          height={Math.max(2, Math.abs(ghost.after - after))}
          fill={`url(#hatch-${key})`}
          stroke="var(--h)"
          strokeDasharray="3 2"
          opacity={ghost.after > after ? 0.7 : 1}
        />
      )}
      <line
        x1={x}
        x2={x}
        y1={top - 4}
        y2={top + Math.max(before, ghost?.before ?? 0) + 4}
        stroke="var(--h)"
        strokeWidth="4"
        strokeDasharray={now ? '4.5 2.5' : '2 4'}
      />
    </g>
  );
}

interface WordsProps {
  mesh: Mesh;
  label: string;
  hue: number;
  bottom: number;
  isOpen: boolean;
  onFocus: () => void;
  onFallen: () => void;
}

/** What a mesh says: above it what it would leave alone and who comes back without it, below it who falls out. */
function MeshWords({ mesh, label, hue, bottom, isOpen, onFocus, onFallen }: WordsProps) {
  const { x, end, after, ghost, now, then } = mesh;
  const counts = now ?? then!;
  const would = (of: (counts: MeshCounts) => number) =>
    ghost && now && then && of(then) !== of(now) ? (
      <span className="ghost-figure"> → {figure(of(then))}</span>
    ) : ghost && !now ? null : null;
  const isNew = !now;
  return (
    <div {...hueAttribute(hue)}>
      <div className="absolute top-1.5 min-w-0 leading-tight" style={{ insetInlineStart: x - 8, width: end - x }}>
        <button
          type="button"
          className={`flex max-w-full items-center gap-1.5 text-start hover:underline ${isNew ? 'ghost-figure' : ''}`}
          title={`Wiring of ${label}`}
          onClick={onFocus}
        >
          <Seed hue={hue} open={isNew} />
          <b className="truncate text-[13.5px] font-semibold">{label}</b>
        </button>
        <p
          className="truncate text-[12.5px] text-ink-2"
          aria-hidden="true"
          title={`By itself it leaves ${figure(counts.alone)}; without it ${figure(counts.back)} come back`}
        >
          alone {figure(counts.alone)}
          {would((one) => one.alone)} · without <b className="font-semibold text-hue-text">+{figure(counts.back)}</b>
          {would((one) => one.back)}
        </p>
      </div>
      <p
        className="absolute font-display text-[15px] font-medium tabular-nums"
        style={{
          insetInlineStart: x + 8,
          width: end - x - 16,
          top: top + Math.max(after, ghost?.after ?? 0) + 1,
          textAlign: 'end',
        }}
        aria-hidden="true"
      >
        {now && figure(now.left)}
        {would((one) => one.left)}
      </p>
      {now && now.fallen > 0 && (
        <button
          type="button"
          aria-expanded={isOpen}
          className="absolute rounded-[3px] px-1 text-[13px] font-semibold text-hue-text tabular-nums hover:bg-hue-ground"
          style={{ insetInlineStart: x + Math.min(70, (end - x) * 0.5), top: bottom - 25 }}
          title={`See the ${countOf(now.fallen, 'post')} that fall out at ${label}`}
          aria-label={`${countOf(now.fallen, 'post')} fall out at ${label}: see them`}
          onClick={onFallen}
        >
          −{figure(now.fallen)}
          {would((one) => one.fallen)}
        </button>
      )}
    </div>
  );
}

/** The size of a box as it is laid out, from when it is there. */
function useSize() {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const watch = useCallback((box: HTMLDivElement | null) => {
    if (!box) return;
    const watcher = new ResizeObserver(
      ([entry]) => entry && setSize({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    watcher.observe(box);
    return () => watcher.disconnect();
  }, []);
  return [watch, size] as const;
}
