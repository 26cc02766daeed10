import { fill } from '@ivy/core';
import type { ChipsView } from './chips.js';
import type { CountView } from './listing.js';
import type { Shown } from './shown.js';

/** What a page is called with what is chosen on it, and what a search engine may say of it. */
export interface PageWords {
  title: string;
  text: string;
}

/** Title and description of a page from what it shows as chosen and found. */
export function titleOf(
  { answer, settings: { name, texts, paging } }: Shown,
  chips: ChipsView | null,
  { matched: posts }: CountView,
): PageWords {
  const choices = (chips?.chips ?? []).map(({ label }) => label).join(', ');
  const isLater = answer.page > 1 && paging.mode === 'pages';
  const page = isLater ? ` · ${fill(texts.page, { n: answer.page })}` : '';
  if (choices === '') return { title: name + page, text: posts };
  return {
    title: fill(texts.pageTitle, { name, choices }) + page,
    text: fill(texts.pageText, { posts, choices, name }),
  };
}
