import { figure } from '../../shared/figures.js';
import { hueAttribute, Seed } from '../../shared/seed.js';
import type { DrawerParts } from './parts.js';

/** How many posts each facet keeps out by itself, to scale. */
export function KeptOut({ dryRun, hues, labelOf }: DrawerParts) {
  if (!dryRun || dryRun.sieve.facets.length === 0) return null;
  const { facets, matched } = dryRun.sieve;
  const rows = facets.map(({ key, without }) => ({ key, posts: without - matched })).sort((a, b) => b.posts - a.posts);
  const most = Math.max(1, ...rows.map(({ posts }) => posts));
  return (
    <div className="mt-auto border-t border-rule px-3.5 py-2">
      <h2 className="remark pb-1 text-[15px]">Kept out by one facet</h2>
      <ul>
        {rows.map(({ key, posts }) => (
          <li key={key} className="flex h-[23px] items-center gap-2 text-[13px]" {...hueAttribute(hues.get(key) ?? 1)}>
            <Seed hue={hues.get(key) ?? 1} size={11} />
            <span className="min-w-0 flex-1 truncate">{labelOf(key)}</span>
            <span className="flex w-[44px] justify-end" aria-hidden="true">
              <span className="h-[7px] bg-hue" style={{ width: `${(100 * posts) / most}%` }} />
            </span>
            <b className="w-[28px] text-end font-semibold text-hue-text tabular-nums">{figure(posts)}</b>
          </li>
        ))}
      </ul>
    </div>
  );
}
