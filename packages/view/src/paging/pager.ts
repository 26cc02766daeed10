import type { Link } from '../shown.js';

/** A page one can go to. */
export interface PageLink {
  label: string;
  /** In words, for those who hear it. */
  name: string;
  current: boolean;
  link: Link;
}

/** Numbers of pages, with the one before and the one after. */
export interface NumbersView {
  form: 'numbers';
  label: string;
  previous: PageLink | null;
  /** Null stands for a gap. */
  pages: (PageLink | null)[];
  next: PageLink | null;
}

/** A press for the posts that come next, which are put below those that are there. */
export interface MoreView {
  form: 'more';
  label: string;
  /** “Show 12 more”; null where all are there. */
  more: string | null;
  /** “31 left”. */
  left: string;
  /** “36 of 43 shown”. */
  shown: string;
  /** Leads to the page with them. */
  link: Link;
  /** Whether they come by themselves as one nears the end. */
  isEndless: boolean;
}

export type PagerView = NumbersView | MoreView;
