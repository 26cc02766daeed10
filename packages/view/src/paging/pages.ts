import { fill } from '@ivy/core';
import { figure } from '../formats.js';
import { linkTo, type Shown } from '../shown.js';
import { pageNumbers } from './page-numbers.js';
import type { NumbersView, PageLink } from './pager.js';

/** Numbered pages; null where there is one page. */
export function pages(shown: Shown): NumbersView | null {
  const { answer, settings, choices } = shown;
  if (answer.pages <= 1) return null;
  const { texts, language } = settings;
  const { page } = choices;
  const to = (n: number, label: string, name: string): PageLink => ({
    label,
    name,
    current: n === page,
    link: linkTo(shown, { ...choices, page: n }),
  });
  return {
    form: 'numbers',
    label: texts.pages,
    previous: page > 1 ? to(page - 1, texts.previous, texts.previous) : null,
    pages: pageNumbers(page, answer.pages).map((n) =>
      n === null ? null : to(n, figure(language, n), fill(texts.page, { n: figure(language, n) })),
    ),
    next: page < answer.pages ? to(page + 1, texts.next, texts.next) : null,
  };
}
