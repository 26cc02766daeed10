import type { FieldType } from '@ivy/core';

/** What fields hold, by their type, in a word or two. */
export const typeWords: Readonly<Record<FieldType, string>> = {
  text: 'text',
  html: 'formatted text',
  terms: 'terms',
  date: 'days',
  datetime: 'moments',
  number: 'numbers',
  boolean: 'yes or no',
  link: 'links',
  image: 'pictures',
  reference: 'references',
};
