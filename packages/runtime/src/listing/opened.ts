/** What a visitor has open or half done in a listing, and no address holds. */
export class Opened {
  /** Facets whose long lists are open. */
  readonly lists = new Set<string>();
  /** Facets that were folded or unfolded. */
  folds = new Map<string, boolean>();
  /** Branches of trees that were opened or closed, by facet and term. */
  readonly branches = new Map<string, boolean>();
  /** Lists of several that are open, and the option the keyboard is on. */
  readonly combos = new Map<string, number>();
  /** Ends of a range while a thumb is being moved. */
  readonly sliding = new Map<string, string>();
  /** What stands in boxes for days and can't be read, by facet and end. */
  readonly badDays = new Map<string, string>();
  /** What stands in boxes while they are typed in: of searches by facet, of ranges by facet and end. */
  readonly typed = new Map<string, string>();

  /** Pages that came by themselves since a visitor last asked for more. */
  loads = 0;

  /** Lets go of what stands in the boxes of a facet, or of all, and is no choice. */
  forgetTyped(key?: string): void {
    if (key === undefined) {
      this.typed.clear();
      this.badDays.clear();
      return;
    }
    this.typed.delete(key);
    for (const end of ['from', 'to']) {
      this.typed.delete(`${key} ${end}`);
      this.badDays.delete(`${key} ${end}`);
    }
  }
}
