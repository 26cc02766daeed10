import { object, optional, text, type ObjectOf } from '../shape/shape.js';

/**
 * The words a visitor reads, in English. `{n}` and other names in braces are filled in; where a text has forms by
 * number, `one|other` are distinguished by `Intl.PluralRules`.
 */
export const englishTexts = {
  /** One form a plural category, parted by `|`: one|other. */
  posts: '{n} post|{n} posts',
  of: 'of {total}',
  sort: 'Sort',
  relevance: 'Best match',
  chosen: 'Chosen',
  clearAll: 'Clear all',
  remove: 'Remove {facet}: {value}',
  more: 'Show {n} more',
  fewer: 'Show fewer',
  moreTerms: '{n} more, found by typing',
  left: '{n} left',
  shownOf: '{n} of {total} shown',
  perPage: 'Per page',
  search: 'Search',
  newest: 'Newest first',
  oldest: 'Oldest first',
  byName: '{field}, A to Z',
  instead: '{value} instead of {other}: {posts}',
  startOver: 'Clear all: {posts}',
  leftOut: 'Left out: {facet} “{value}” is not there any more.',
  leftOutOther: 'Left out: “{value}” can’t be read any more.',
  offline: 'There is no connection. What came last is still here.',
  goneTitle: 'This listing is not here',
  goneText: 'It may have moved. The rest of the page is as it was.',
  all: 'All',
  yes: 'Yes',
  no: 'No',
  filters: 'Filters',
  close: 'Close',
  show: 'Show {posts}',
  /** On the button of a page without scripts. */
  apply: 'Show results',
  results: 'Results',
  emptyTitle: 'Nothing matches all of this',
  emptyWays: 'What would bring some back:',
  others: 'Others to look at',
  readOn: 'Read on',
  /** Said after a link that opens beside the page. */
  newTab: 'opens in a new tab',
  without: 'without {facet}: {posts}',
  clearSearch: 'Clear the search',
  from: 'From',
  to: 'To',
  since: 'from {value}',
  until: 'up to {value}',
  loading: 'Loading the listing',
  failedTitle: 'The listing did not load',
  failedText: 'Check the connection, then try again.',
  retry: 'Try again',
  pages: 'Pages',
  previous: 'Previous',
  next: 'Next',
  page: 'Page {n}',
  find: 'Find in {facet}',
  findNone: 'Nothing here is called that.',
  clearFacet: 'Clear {facet}',
  under: 'What is under {term}',
  either: 'Either',
  choose: 'Choose',
  picked: '{n} chosen',
  day: 'Day',
  badDay: '“{value}” is no day. Write it like {example}.',
  common: 'Common ranges',
  onlyMarked: 'Only what I marked',
  mark: 'Mark {title}',
  marked: '{n} marked',
  /** Title of a page and what search engines say of it, once something is chosen. */
  pageTitle: '{name}: {choices}',
  pageText: '{posts}: {choices}',
  respelled: 'Nothing for “{searched}”, showing “{value}”.',
};

export type TextKey = keyof typeof englishTexts;
export type Texts = Record<TextKey, string>;

const part = optional(text({ max: 300 }));
const parts = Object.fromEntries(Object.keys(englishTexts).map((key) => [key, part])) as Record<TextKey, typeof part>;

/** A lens's own words; those it leaves out are the language's. */
export const textsShape = object(parts);
export type OwnTexts = ObjectOf<typeof parts>;

/** All words of a lens: its own over the language's. */
export function wordsOf(own: OwnTexts, ofLanguage: Texts = englishTexts): Texts {
  const words = { ...ofLanguage };
  for (const key of Object.keys(englishTexts) as TextKey[]) {
    const word = own[key];
    if (word !== undefined && word !== '') words[key] = word;
  }
  return words;
}
