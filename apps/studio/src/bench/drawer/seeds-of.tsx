import type { NearPost } from '@ivy/core';
import { Seed } from '../../shared/seed.js';

/** How a post stands to each facet with a choice: a seed that is filled where it passes, and open where it does not. */
export function SeedsOf({
  post,
  hues,
  labelOf,
}: {
  post: Pick<NearPost, 'facets'>;
  hues: ReadonlyMap<string, number>;
  labelOf: (key: string) => string;
}) {
  const said = post.facets.map(({ key, passes }) => `${labelOf(key)}: ${passes ? 'passes' : 'stops it'}`).join(', ');
  return (
    <span className="inline-flex gap-1" role="img" aria-label={said} title={said}>
      {post.facets.map(({ key, passes }) => (
        <Seed key={key} hue={hues.get(key) ?? 1} size={11} open={!passes} />
      ))}
    </span>
  );
}
