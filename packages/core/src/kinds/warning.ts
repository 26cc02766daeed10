/** Something about a facet that can't work, or that visitors will stumble over, in a sentence that says what to do. */
export interface Warning {
  code:
    | 'field-gone'
    | 'no-values'
    | 'one-term'
    | 'many-buttons'
    | 'all-hidden'
    | 'unreadable-dates'
    | 'same-name'
    | 'flat-tree';
  /** True: it can't work at all. */
  broken: boolean;
  text: string;
}
