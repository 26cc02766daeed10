import { ChevronDown, ChevronUp } from 'lucide-react';
import type { KeyboardEvent, ReactNode } from 'react';
import { figure } from '../../shared/figures.js';
import { usePull } from '../../shared/use-pull.js';
import { FindingsTab } from './findings-tab.js';
import { labelIn, type DrawerParts } from './parts.js';
import { KeptOut } from './kept-out.js';
import type { BenchFinding } from './use-findings.js';
import { RequestsTab } from './requests-tab.js';
import { SieveTab } from './sieve-tab.js';
import type { Requests } from './use-requests.js';
import { drawerTabs, highest, lowest, type DrawerState, type DrawerTab } from './use-drawer.js';
import { WhyTab } from './why-tab.js';

interface Props extends Omit<DrawerParts, 'labelOf'> {
  state: DrawerState;
  requests: Requests;
  /** Null until they are known. */
  findings: BenchFinding[] | null;
  onPlace: (place: BenchFinding['place']) => void;
}

/** How high, in CSS pixels, the shut drawer is: its tabs in a row, and its rule above them. */
const shutHeight = 34;

const names: Record<DrawerTab, string> = { sieve: 'Sieve', why: 'Why', requests: 'Requests', findings: 'Findings' };

/** The drawer under the page: what each facet takes away, why a post is or is not there, what went over the wire, what is wrong. */
export function Drawer({ state, requests, findings, onPlace, ...rest }: Props) {
  const { lens, source, dryRun } = rest;
  const { tab, height, onTab } = state;
  const parts: DrawerParts = { ...rest, labelOf: (key) => labelIn(lens, source, key) };
  const facts: Record<DrawerTab, ReactNode> = {
    sieve: dryRun && `${figure(dryRun.answer.total)} → ${figure(dryRun.answer.matched)}`,
    why: dryRun && `${figure(dryRun.answer.total - dryRun.answer.matched)} left out`,
    requests: requests.last,
    findings: findings && (findings.length === 0 ? 'none' : <b className="text-rust">{figure(findings.length)}</b>),
  };
  const walk = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    const tabs = [...event.currentTarget.querySelectorAll<HTMLElement>('[role=tab]')];
    const at = tabs.indexOf(document.activeElement as HTMLElement);
    event.preventDefault();
    tabs[(at + by + tabs.length) % tabs.length]?.focus();
  };
  return (
    <section
      aria-label="Drawer"
      className={`relative flex shrink-0 border-t border-rule-2 bg-raised ${tab === null ? '' : 'max-[700px]:flex-col'}`}
      style={{ height: tab === null ? shutHeight : height }}
    >
      {tab !== null && <Edge height={height} onHeight={state.onHeight} />}
      <div
        className={`flex shrink-0 border-e border-rule bg-paper ${tab === null ? 'w-full flex-row items-center' : 'w-[212px] flex-col overflow-y-auto max-[1099px]:w-[120px] max-[700px]:w-full max-[700px]:overflow-x-auto max-[700px]:border-b'}`}
      >
        <div
          role="tablist"
          aria-label="Drawer"
          aria-orientation={tab === null ? 'horizontal' : 'vertical'}
          className={tab === null ? 'flex min-w-0 flex-1 overflow-x-auto' : 'flex flex-col max-[700px]:flex-row'}
          onKeyDown={walk}
        >
          {drawerTabs.map((one, i) => (
            <button
              key={one}
              type="button"
              role="tab"
              id={`drawer-${one}`}
              aria-selected={tab === one}
              aria-controls="drawer-panel"
              aria-keyshortcuts={`${i + 1}`}
              title={`Key ${i + 1}`}
              tabIndex={(tab ?? 'sieve') === one ? 0 : -1}
              className={`flex h-[33px] items-center gap-2 px-3.5 text-start ${tab === one ? 'border-s-2 border-ivy bg-raised text-ivy' : 'border-s-2 border-transparent text-ink hover:bg-sunk'}`}
              onClick={() => onTab(one)}
            >
              <span className="font-display text-[16px]">{names[one]}</span>
              <span className="ms-auto ps-2 text-[12.5px] whitespace-nowrap text-ink-2 tabular-nums max-[1099px]:hidden">
                {facts[one]}
              </span>
            </button>
          ))}
        </div>
        {tab === 'why' && <KeptOut {...parts} />}
        <button
          type="button"
          className={`icon-button ${tab === null ? 'me-2' : 'absolute end-1 top-1 z-10'}`}
          aria-label={tab === null ? 'Open the drawer' : 'Shut the drawer'}
          onClick={() => onTab(tab ?? 'sieve')}
        >
          {tab === null ? <ChevronUp size={16} /> : <ChevronDown size={16} />}
        </button>
      </div>
      {tab !== null && (
        <div
          role="tabpanel"
          id="drawer-panel"
          aria-labelledby={`drawer-${tab}`}
          className="relative min-w-0 flex-1 overflow-hidden"
        >
          {tab === 'sieve' && <SieveTab {...parts} />}
          {tab === 'why' && <WhyTab {...parts} text={state.find} onText={state.onFind} />}
          {tab === 'requests' && <RequestsTab requests={requests} />}
          {tab === 'findings' && <FindingsTab {...parts} {...{ findings, onPlace }} />}
        </div>
      )}
    </section>
  );
}

const edgeKeys = { ArrowUp: 20, ArrowDown: -20, PageUp: 100, PageDown: -100 };

/** The upper edge of the drawer, to be drawn up and down, or moved by the arrow keys. */
function Edge({ height, onHeight }: { height: number; onHeight: (height: number) => void }) {
  const pull = usePull({ axis: 'y', value: height, keys: edgeKeys, factor: -1, onValue: onHeight });
  return (
    <div
      role="separator"
      tabIndex={0}
      aria-orientation="horizontal"
      aria-label="Height of the drawer"
      aria-valuemin={lowest}
      aria-valuemax={highest}
      aria-valuenow={height}
      className="absolute inset-x-0 -top-1 z-10 h-2 cursor-ns-resize touch-none"
      {...pull}
    />
  );
}
