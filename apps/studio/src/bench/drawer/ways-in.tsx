import type { NearPost, WayIn } from '@ivy/core';
import { figure } from '../../shared/figures.js';
import { useGhosting } from '../ghost/ghosting.js';
import type { DrawerParts } from './parts.js';
import { useSight } from './use-sight.js';

/** How to let a post in, each way with how many others would come; what it would change is seen before it is pressed. */
export function WaysIn({ lens, address, dryRun, dryRuns, labelOf, onGo, post }: DrawerParts & { post: NearPost }) {
  const ghosting = useGhosting();
  const isStopped = post.facets.some(({ passes }) => !passes);
  const { seen, problem } = useSight(
    dryRuns,
    isStopped ? { name: 'ways-in', lens, address, wanted: { post: post.id } } : null,
  );
  if (!post.inScope)
    return <span className="remark text-[15px]">Which posts there are is set in Results, under Posts.</span>;
  if (!isStopped) return <span className="remark text-[15px]">It is shown at this address.</span>;
  if (problem) return <span role="alert">{problem.message}</span>;
  if (!seen) return <span className="remark text-[15px] text-ink-3">Looking for ways in…</span>;
  const matched = dryRun?.answer.matched ?? 0;
  return (
    <>
      <span className="remark text-[15px]">To let it in</span>
      {seen.map((way) => (
        <button
          key={way.address}
          type="button"
          className="button button-small"
          {...ghosting({ address: way.address, facet: way.steps[0]!.facet })}
          onClick={() => onGo(way.address)}
        >
          {wordsOf(way, labelOf)} <b className="font-semibold text-ivy">+{figure(way.matched - matched)}</b>
        </button>
      ))}
    </>
  );
}

/** “also Lagoon, to 2026-06-01” or “without Habitat”. */
function wordsOf({ steps }: WayIn, labelOf: (key: string) => string): string {
  const cleared = steps.flatMap(({ facet, text }) => (text === null ? [labelOf(facet)] : []));
  const changed = steps.flatMap(({ text }) => text ?? []);
  return [...changed, ...(cleared.length > 0 ? [`without ${cleared.join(' and ')}`] : [])].join(', ');
}
