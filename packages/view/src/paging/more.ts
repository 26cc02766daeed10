import { fill } from '@ivy/core';
import { figure } from '../formats.js';
import { linkTo, type Shown } from '../shown.js';
import type { MoreView } from './pager.js';

/** A press that puts the next posts below those that are there; null where all fit on the first page. */
export function more(shown: Shown, isEndless = false): MoreView | null {
  const { answer, settings, choices } = shown;
  const { texts, language } = settings;
  if (answer.pages <= 1) return null;
  const there = Math.min(answer.page * answer.pageSize, answer.matched);
  const left = answer.matched - there;
  return {
    form: 'more',
    label: texts.pages,
    more: left > 0 ? fill(texts.more, { n: figure(language, Math.min(left, answer.pageSize)) }) : null,
    left: left > 0 ? fill(texts.left, { n: figure(language, left) }) : '',
    shown: fill(texts.shownOf, { n: figure(language, there), total: figure(language, answer.matched) }),
    link: linkTo(shown, { ...choices, page: answer.page + 1 }),
    isEndless,
  };
}
