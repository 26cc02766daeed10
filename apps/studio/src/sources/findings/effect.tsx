import type { MendMade } from '@ivy/client';
import { useEffect, useRef } from 'react';
import { countOf, figure } from '../../shared/figures.js';

interface Props {
  made: MendMade;
  isBusy: boolean;
  onKeep: () => void;
  onLeave: () => void;
}

/** What a mend would do: to posts, to fields, and to the lenses that visitors have. */
export function Effect({ made, isBusy, onKeep, onLeave }: Props) {
  const { changed, posts, fields, lenses } = made;
  const keep = useRef<HTMLButtonElement>(null);
  // what was pressed to see this is gone: the next thing to press takes its place
  useEffect(() => keep.current?.focus(), []);
  const released = lenses.filter(({ of }) => of === 'release');
  // a lens gains or loses posts once, however many of its facets are counted anew
  const grown = released.filter(
    ({ slug, posts: all }, i) => all && released.findIndex((one) => one.slug === slug) === i,
  );
  const moves = released.filter(({ before, after, posts: all }) => !all && before !== after);
  const broken = lenses.find(({ problem }) => problem !== null);
  const moved = fields.filter(({ before, after }) => wordsOf(before) !== wordsOf(after)).slice(0, 4);
  return (
    <div className="mt-2 border-s-2 border-dashed border-ivy ps-2.5" role="status">
      <p>
        {changed === 0
          ? 'No post changes; it is told no more.'
          : `${countOf(changed, 'post')} ${changed === 1 ? 'changes' : 'change'}.`}
        {posts.before !== posts.after && ` ${countOf(posts.before, 'post')} become ${figure(posts.after)}.`}
      </p>
      {moved.map(({ before, after }) => (
        <p key={before.key} className="text-[13px]">
          {before.label}: {wordsOf(before)} → <b>{wordsOf(after)}</b>
        </p>
      ))}
      {grown.map(({ slug, name, posts: all }) => (
        <p key={slug} className="text-[13px] text-ink-2">
          {name}, as visitors have it: {figure(all!.before)} → {figure(all!.after)} posts
        </p>
      ))}
      {moves.map(({ slug, name, facets, before, after }) => (
        <p key={`${slug} ${facets.join()}`} className="text-[13px] text-ink-2">
          {name}, as visitors have it: {before} → {after}
        </p>
      ))}
      {broken && (
        <p className="text-[13px] font-semibold text-rust">
          {broken.name} can’t work with that: {broken.problem}.
        </p>
      )}
      <p className="mt-1.5 flex gap-2">
        <button ref={keep} type="button" className="button button-small button-main" disabled={isBusy} onClick={onKeep}>
          Keep
        </button>
        <button type="button" className="button button-small" onClick={onLeave}>
          Leave it
        </button>
      </p>
    </div>
  );
}

/** What a field holds, as far as a mend can change it. */
function wordsOf({ type, filled, distinct, left }: MendMade['before']): string {
  if (left) return 'left out';
  if (type === 'terms' || type === 'reference') return countOf(distinct, 'term');
  return countOf(filled, 'value');
}
