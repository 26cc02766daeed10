/** One thing that visitors would find different. */
export interface LensChange {
  /** Key of the facet it is about; null for the listing as a whole. */
  facet: string | null;
  title: string;
  /** Addresses that were live find something else by it, or nothing. */
  breaks?: boolean;
  /** How it was and how it becomes, where both can be said in a word. */
  before?: string;
  after?: string;
}

/** Tells of a change in a facet. With `before` and `after` alike there is none. */
export type Tell = (title: string, before?: string, after?: string) => void;
