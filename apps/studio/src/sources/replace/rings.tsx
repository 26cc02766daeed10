import type { RunView } from '@ivy/client';
import { figure } from '../../shared/figures.js';
import { dayOf } from '../../shared/when.js';

/** Runs that are drawn as rings: of more, the oldest stand within. */
const drawn = 7;

/** What a source has been through, as the rings of a trunk: the newest outside. */
export function Rings({ runs, coming }: { runs: readonly RunView[]; coming: { posts: number; words: string } | null }) {
  // a look that came to nothing leaves no ring
  const grown = runs.filter(({ state }) => state === 'done' || state === 'undone');
  const shown = grown.slice(0, drawn);
  return (
    <aside
      aria-label="Runs"
      className="relative shrink-0 overflow-hidden border-b border-rule bg-paper lg:w-[212px] lg:border-e lg:border-b-0"
    >
      <p className="flex items-baseline justify-between px-4 pt-3 pb-1">
        <span className="remark text-[16px]">Runs</span>
        <span className="text-[12.5px] text-ink-3">the newest outside</span>
      </p>
      <ol className="lg:pb-6">
        {coming && (
          <Ring tone="border-dashed border-rust text-rust" words={coming.words} posts={coming.posts} name="this file" />
        )}
        {shown.map((run, i) => (
          <Ring
            key={run.id}
            tone={
              run.state === 'undone'
                ? 'border-rule text-ink-3 line-through'
                : i === 0
                  ? 'border-ivy text-ivy'
                  : 'border-rule-2'
            }
            name={dayOf(run.at)}
            words={changeWords(run)}
            posts={run.posts}
          />
        ))}
      </ol>
      {grown.length > drawn && (
        <p className="remark px-4 pb-3 text-[13px] text-ink-3">and {grown.length - drawn} within</p>
      )}
    </aside>
  );
}

function Ring({ tone, name, words, posts }: { tone: string; name: string; words: string; posts: number }) {
  return (
    <li className={`-mx-6 mt-1 rounded-[50%_50%_0_0/26px_26px_0_0] border-t-2 px-11 pt-3 pb-2 ${tone}`}>
      <span className="serif block text-[15px]">{name}</span>
      <span className="flex justify-between text-[12.5px]">
        <span>{words}</span>
        <b className="serif text-[14px]">{figure(posts)}</b>
      </span>
    </li>
  );
}

/** What a run changed, in signs: `+31 −4 ~12`. */
export function changeWords({ added, removed, changed }: Pick<RunView, 'added' | 'removed' | 'changed'>): string {
  const parts = [
    added > 0 && `+${figure(added)}`,
    removed > 0 && `−${figure(removed)}`,
    changed > 0 && `~${figure(changed)}`,
  ];
  return parts.filter(Boolean).join(' ') || 'the same';
}
