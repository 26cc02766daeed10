import type { MarkName } from '@ivy/core';

/** What places on a page are called. */
export const placeWords: Partial<Record<MarkName, string>> = {
  count: 'How many match',
  total: 'How many there are',
  empty: 'Nothing found',
  pager: 'Pager',
  more: 'Button for more',
};

/** What kinds of facets are called that controls of a page are. */
export const kindWords: Record<string, string> = {
  checkboxes: 'ticks',
  radios: 'radios',
  dropdown: 'dropdown',
  switch: 'switch',
  search: 'search',
  'date-range': 'dates',
  'number-range': 'numbers',
  sort: 'order',
};
