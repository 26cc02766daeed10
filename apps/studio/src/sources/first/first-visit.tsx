import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, refreshAll } from '../../api/api.js';
import { BottomDrawer } from '../acts/bottom-drawer.js';
import { bringIn } from '../bring-in.js';
import { DropZone } from '../drop-zone.js';
import { AddressEntry } from '../look/address-entry.js';
import { leafOutline } from '../terms/leaf.js';
import { PlateOfFacets, PlateOfPage, PlateOfTray } from './plates.js';
import { sampleFile } from './sample.js';

/** A first visit: what one can do here in three pictures, and three ways to begin. */
export function FirstVisit() {
  return (
    <main className="flex flex-1 flex-col bg-desk">
      <div className="mx-auto grid w-full max-w-[1240px] flex-1 gap-8 px-6 py-7 lg:grid-cols-[minmax(0,1fr)_440px]">
        <div className="grid content-start justify-items-center gap-5">
          <div className="justify-self-start">
            <h2 className="serif text-[32px] leading-tight font-bold">Put some posts under the lens</h2>
            <p className="remark mt-1 text-[17px] text-ink-2">
              No source yet. The first file you drop becomes one; what it carries is shown before anything is built on
              it.
            </p>
          </div>
          <div className="relative grid w-full max-w-[500px] place-items-center py-6">
            <Ivy />
            <DropZone sources={[]} shape="lens" />
          </div>
          <AddressEntry />
        </div>
        <ol className="grid content-start gap-4">
          <Plate number={1} title="Bring posts in" drawing={<PlateOfTray />}>
            Every field lies on the tray as it is. What is wrong is boxed, with a way to mend it.
          </Plate>
          <Plate number={2} title="Compose facets on the live page" drawing={<PlateOfFacets />}>
            Pick a field, and the page answers. Each number shows before you press.
          </Plate>
          <Plate number={3} title="Put one line on a page" drawing={<PlateOfPage />}>
            Visitors filter without a reload. The address says what they chose.
          </Plate>
        </ol>
      </div>
      <Begin />
      <div className="mx-auto w-full max-w-[1240px] px-6 pb-6 empty:hidden">
        <BottomDrawer />
      </div>
    </main>
  );
}

interface PlateProps {
  number: number;
  title: string;
  drawing: React.ReactNode;
  children: React.ReactNode;
}

function Plate({ number, title, drawing, children }: PlateProps) {
  return (
    <li className="border-4 border-double border-rule-2 bg-raised">
      <div className="grid grid-cols-[170px_minmax(0,1fr)] items-center gap-4 p-4 max-sm:grid-cols-1">
        {drawing}
        <div>
          <p className="remark text-ink-2">Plate {number}</p>
          <h3 className="serif text-[19px] leading-snug font-semibold">{title}</h3>
          <p className="mt-1 text-ink-2">{children}</p>
        </div>
      </div>
    </li>
  );
}

/** A finished example, and a small file with faults to mend. */
function Begin() {
  const navigate = useNavigate();
  const [doing, setDoing] = useState<'demo' | 'sample' | null>(null);
  const [problem, setProblem] = useState('');
  const begin = async (what: 'demo' | 'sample', work: () => Promise<string>) => {
    setDoing(what);
    setProblem('');
    try {
      const to = await work();
      await refreshAll();
      await navigate(to);
    } catch (error) {
      setProblem((error as Error).message);
      setDoing(null);
    }
  };
  const openDemo = async () => `/lenses/${(await api.ask('post', '/api/v1/demo', {})).lens}`;
  const trySample = async () =>
    `/sources/${(await bringIn(sampleFile(), new AbortController().signal, () => {})).slug}`;
  return (
    <section aria-label="Or begin with" className="border-t border-rule-2 bg-raised">
      <div className="mx-auto grid w-full max-w-[1240px] gap-x-8 gap-y-4 px-6 py-4 md:grid-cols-2">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <div className="min-w-0 flex-1">
            <h3 className="serif text-[18px] font-semibold">The wardens’ notes</h3>
            <p className="text-ink-2">480 notes and a finished lens</p>
          </div>
          <button
            type="button"
            className="button"
            disabled={doing !== null}
            onClick={() => void begin('demo', openDemo)}
          >
            {doing === 'demo' ? 'Bringing them in…' : 'Open the wardens’ notes'}
          </button>
        </div>
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <div className="min-w-0 flex-1">
            <h3 className="serif text-[18px] font-semibold">A sample file to try</h3>
            <p className="text-ink-2">24 posts with three faults to find</p>
          </div>
          <button
            type="button"
            className="button"
            disabled={doing !== null}
            onClick={() => void begin('sample', trySample)}
          >
            {doing === 'sample' ? 'Reading it…' : 'Try the sample'}
          </button>
        </div>
        {problem && (
          <p className="text-bad md:col-span-2" role="alert">
            {problem}
          </p>
        )}
      </div>
    </section>
  );
}

/** Where leaves stand: the rim of the lens in a square of 500. */
const ring = 216;

/** Ivy that grows round the lens: a leaf every few degrees, larger and smaller by turns. */
function Ivy() {
  const leaves = Array.from({ length: 30 }, (_, i) => {
    const angle = -2.7 + (i * 5.1) / 30;
    const size = 22 + ((i * 7) % 5) * 5;
    const at = ring + (i % 2 ? 7 : 0);
    return {
      x: 250 + at * Math.cos(angle),
      y: 250 + at * Math.sin(angle),
      scale: size / 100,
      turn: (angle * 180) / Math.PI + 90 + (i % 2 ? 22 : -26),
      isDark: i % 4 === 1,
    };
  });
  return (
    <svg
      viewBox="0 0 500 500"
      className="pointer-events-none absolute inset-0 h-full w-full overflow-visible text-ivy"
      aria-hidden="true"
    >
      <path d="M66 111A231 231 0 1 1 132 449" fill="none" stroke="currentColor" strokeWidth="2.4" opacity={0.7} />
      {leaves.map(({ x, y, scale, turn, isDark }, i) => (
        <path
          key={i}
          d={leafOutline}
          transform={`translate(${x} ${y}) rotate(${turn}) scale(${scale}) translate(-50 -96)`}
          fill={isDark ? 'currentColor' : 'var(--ivy-soft)'}
          stroke="currentColor"
          strokeWidth="4.5"
        />
      ))}
    </svg>
  );
}
