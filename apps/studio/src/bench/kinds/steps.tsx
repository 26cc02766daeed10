import type { FacetOf } from '@ivy/core';
import { Drawing } from './drawing.js';
import type { KindDesk, OwnProps } from './kind-desk.js';
import { TermWiring } from '../term-wiring.js';

export const steps: KindDesk<FacetOf<'steps'>> = {
  name: 'Steps',
  drawing: (
    <Drawing>
      <rect x="4" y="5" width="14" height="20" rx="1.5" className="off" />
      <rect x="24" y="5" width="14" height="20" rx="1.5" className="off" />
      <rect x="4" y="10" width="14" height="6" className="on" />
      <path d="M7 21h8M27 9h8M27 15h8M27 21h5" />
      <path d="m20 11 2.5 2-2.5 2" />
    </Drawing>
  ),
  alsoSuits: ({ tree }) => tree,
  Main: TermWiring,
  Own: StepSettings,
  unfolds: 'Visitors unfold it to see its terms',
};

const ordinals = ['First', 'Second', 'Third'];
/** Lists that can be named; most trees have no more levels. */
const mostNamed = 8;

/** What each list is called, with an empty line for the next. */
function StepSettings({ facet, onChange }: OwnProps<FacetOf<'steps'>>) {
  const lines = Math.min(mostNamed, Math.max(3, facet.levels.length + 1));
  const names = Array.from({ length: lines }, (_, i) => facet.levels[i] ?? '');
  return (
    <section className="section">
      <h3 className="eyebrow mb-1.5">Lists</h3>
      <ul className="grid gap-1.5">
        {names.map((name, i) => (
          <li key={i} className="flex items-center gap-2">
            <span className="remark w-[52px] shrink-0 text-[15px] text-ink-2">{ordinals[i] ?? `${i + 1}th`}</span>
            <input
              className="field w-full"
              aria-label={`What list ${i + 1} is called`}
              maxLength={60}
              placeholder={i === 0 ? 'Country' : i === 1 ? 'Region' : 'Place'}
              value={name}
              onChange={(event) => onChange({ levels: trimmed(names.with(i, event.target.value)) }, `level ${i}`)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Without the empty names at the end. */
function trimmed(names: readonly string[]): string[] {
  const last = names.findLastIndex((name) => name !== '');
  return names.slice(0, last + 1);
}
