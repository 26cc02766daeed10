import type { DryRun, SpanName } from '@ivy/core';
import type { KeyboardEvent } from 'react';
import { CardWiring } from '../card/card-wiring.js';
import { LayoutWiring } from '../look/layout-wiring.js';
import { LookWiring } from '../look/look-wiring.js';
import { OrderWiring } from './order-wiring.js';
import { PagesWiring } from './pages-wiring.js';
import type { ResultsProps } from './parts.js';
import { PostsWiring } from './posts-wiring.js';
import { WordsWiring } from './words-wiring.js';

const tabs = {
  card: 'Card',
  layout: 'Layout',
  look: 'Look',
  posts: 'Posts',
  order: 'Order',
  pages: 'Pages',
  words: 'Words',
} as const;
/** A part of the results' settings. */
export type ResultsTab = keyof typeof tabs;
const names = Object.keys(tabs) as ResultsTab[];

interface Props extends ResultsProps {
  dryRun: DryRun | null;
  /** How many posts the source has. */
  posts: number;
  /** The language the live page is read in now. */
  reads: string;
  onReads: (language: string) => void;
  /** What of the results is in hand, and which part of the card. */
  tab: ResultsTab;
  onTab: (tab: ResultsTab) => void;
  part: number | null;
  onPart: (at: number | null) => void;
  /** Which widths the layout is set for. */
  span: SpanName;
  onSpan: (span: SpanName) => void;
}

/** What is not a facet: how cards lie, which posts there are, in which order, how many, and in what words. */
export function ResultsWiring({
  dryRun,
  posts,
  reads,
  onReads,
  tab,
  onTab,
  part,
  onPart,
  span,
  onSpan,
  ...props
}: Props) {
  const press = (event: KeyboardEvent<HTMLElement>) => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    const next = names[(names.indexOf(tab) + by + names.length) % names.length]!;
    onTab(next);
    event.currentTarget.querySelector<HTMLElement>(`[data-tab=${next}]`)?.focus();
  };
  return (
    <div className="flex h-full flex-col border-t-4 border-ivy">
      <header className="border-b border-rule bg-ivy-soft px-3.5 pt-3">
        <h2 className="serif text-[21px] leading-tight font-semibold">
          Results <span className="remark text-[15px] font-normal text-ink-2">wiring</span>
        </h2>
        <div role="tablist" aria-label="Results" className="mt-2 flex justify-between text-[13.5px]" onKeyDown={press}>
          {names.map((name) => (
            <button
              key={name}
              type="button"
              role="tab"
              id={`tab-${name}`}
              data-tab={name}
              aria-selected={tab === name}
              aria-controls="results-tab"
              tabIndex={tab === name ? 0 : -1}
              className="border-b-2 border-transparent pb-1.5 text-ink-2 aria-selected:border-ivy aria-selected:font-semibold aria-selected:text-ink"
              onClick={() => onTab(name)}
            >
              {tabs[name]}
            </button>
          ))}
        </div>
      </header>
      <div id="results-tab" role="tabpanel" aria-labelledby={`tab-${tab}`} className="min-h-0 flex-1 overflow-y-auto">
        {tab === 'card' && <CardWiring {...props} part={part} onPart={onPart} />}
        {tab === 'layout' && <LayoutWiring {...props} span={span} onSpan={onSpan} />}
        {tab === 'look' && <LookWiring {...props} />}
        {tab === 'posts' && <PostsWiring {...props} dryRun={dryRun} posts={posts} />}
        {tab === 'order' && <OrderWiring {...props} />}
        {tab === 'pages' && <PagesWiring {...props} />}
        {tab === 'words' && <WordsWiring {...props} reads={reads} onReads={onReads} />}
      </div>
    </div>
  );
}
