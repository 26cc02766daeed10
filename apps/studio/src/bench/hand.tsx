import type { Facet } from '@ivy/core';
import { useMedia } from '../shared/use-media.js';
import { duplicateFacet, removeFacet } from './edits.js';
import { Sheet } from './narrow/sheet.js';
import type { BenchParts } from './parts.js';
import { ResultsWiring } from './results/results-wiring.js';
import { Wiring } from './wiring.js';

interface Props extends BenchParts {
  /** Slug of the lens. */
  slug: string;
  facet?: Facet;
  /** The language the live page is read in now. */
  reads: string;
  onReads: (language: string) => void;
  /** Whether it lies open over the page, where there is no room beside it. */
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
  results: Pick<Parameters<typeof ResultsWiring>[0], 'tab' | 'onTab' | 'part' | 'onPart' | 'span' | 'onSpan'>;
}

/** The settings of what is in hand: a facet, or else the results. */
export function Hand(props: Props) {
  const { lens, source, dryRun, hues, problem, dispatch, facet, slug, reads, onReads, results, isOpen, onOpen } = props;
  const isNarrow = useMedia('(max-width: 859px)');
  const settings = (
    <>
      {facet ? (
        <Wiring
          key={facet.key}
          source={source.slug}
          posts={source.posts}
          fields={source.fields}
          lens={lens}
          facet={facet}
          hue={hues.get(facet.key)!}
          dryRun={dryRun}
          problem={problem}
          onEdit={(next, topic, focus) =>
            dispatch({
              type: 'edit',
              lens: next,
              ...(topic !== undefined && { topic }),
              ...(focus !== undefined && { focus }),
            })
          }
          onDuplicate={() => {
            const copy = duplicateFacet(lens, facet.key);
            dispatch({ type: 'edit', lens: copy.lens, focus: copy.key });
          }}
          onRemove={() => dispatch({ type: 'edit', lens: removeFacet(lens, facet.key) })}
        />
      ) : (
        <ResultsWiring
          lens={lens}
          slug={slug}
          source={source.slug}
          fields={source.fields}
          posts={source.posts}
          dryRun={dryRun}
          reads={reads}
          onReads={onReads}
          {...results}
          onEdit={(next, topic) => dispatch({ type: 'edit', lens: next, ...(topic !== undefined && { topic }) })}
        />
      )}
    </>
  );
  if (!isNarrow) {
    return (
      <aside className="w-[312px] shrink-0 border-s border-rule bg-paper" aria-label="Wiring">
        {settings}
      </aside>
    );
  }
  return (
    isOpen && (
      <Sheet label="Wiring" from="below" onClose={() => onOpen(false)}>
        {settings}
      </Sheet>
    )
  );
}
