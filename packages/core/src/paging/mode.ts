/** What a lens says of its pages. */
export interface PagingConfig {
  /** Posts a page. */
  size: number;
  /** Sizes that visitors may choose from; none: it is not theirs to choose. */
  sizes: readonly number[];
}

/**
 * All that the rest of the house may ask of a way of paging. One object a mode, registered by its name in `paging.ts`.
 */
export interface PagingMode {
  /** How posts go on, in a few words, such as `numbered pages`. */
  readonly noun: string;
  /** Whether page 3 means that pages 1 to 3 stand there. */
  readonly stacks: boolean;
  /**
   * Posts a page.
   * @param asked  the size an address asks for; null where it says none, or none that is offered
   */
  readonly sizeOf: (paging: PagingConfig, asked: number | null) => number;
  /** Whether its size is anyone's to choose. */
  readonly hasSize: boolean;
}

/** Posts that stand on one page at most, however they got there. */
export const mostOnPage = 1000;
