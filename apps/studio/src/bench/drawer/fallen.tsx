import { Failed } from '../../shared/states.js';
import { figure } from '../../shared/figures.js';
import type { DrawerParts } from './parts.js';
import { SeedsOf } from './seeds-of.js';
import { useSight } from './use-sight.js';

/** The posts that fall out at a facet, as small cards: those that miss it by least first. */
export function Fallen({ lens, address, dryRuns, hues, labelOf, at }: DrawerParts & { at: string }) {
  const { seen, problem } = useSight(dryRuns, { name: 'nearest', lens, address, wanted: { of: { fallsAt: at } } });
  if (problem && !seen) return <Failed error={problem} retry={() => undefined} />;
  if (!seen) return <p className="remark ps-3.5 text-ink-3">Looking for them…</p>;
  const rest = seen.found - seen.posts.length;
  return (
    <ul
      className="flex min-h-0 flex-1 gap-2 overflow-x-auto ps-3.5 pe-3.5 pb-2.5"
      tabIndex={0}
      aria-label="Posts that fall out"
    >
      {seen.posts.map((post) => (
        <li
          key={post.id}
          className="flex w-[188px] shrink-0 flex-col gap-1 rounded-[3px] border border-rule bg-paper px-2.5 py-1.5"
        >
          <b className="line-clamp-2 text-[13.5px] leading-snug font-semibold" dir="auto">
            {post.title ?? post.id}
          </b>
          <span className="line-clamp-2 text-[12.5px] text-hue-text">
            {post.facets.find(({ key }) => key === at)?.reason}
          </span>
          <span className="mt-auto">
            <SeedsOf post={post} hues={hues} labelOf={labelOf} />
          </span>
        </li>
      ))}
      {rest > 0 && <li className="remark shrink-0 self-center px-3 text-ink-3">and {figure(rest)} more</li>}
    </ul>
  );
}
