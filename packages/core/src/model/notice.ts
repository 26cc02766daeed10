export const noticeCodes = [
  'unknown-term',
  'unknown-post',
  'unknown-sort',
  'unknown-size',
  'single-choice',
  'page-clamped',
  'too-many',
  'too-long',
  'moved',
  'bad-switch',
  'bad-date',
  'bad-number',
  'range-reversed',
  'respelled',
] as const;
export type NoticeCode = (typeof noticeCodes)[number];

/** Something the address said that was not taken as it stood. */
export interface Notice {
  code: NoticeCode;
  /** Key of the facet it is about. */
  facet?: string;
  value?: string;
  /** One sentence for people. */
  text: string;
}
