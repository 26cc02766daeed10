/** What is chosen in one facet. Facets with nothing chosen have no entry in a query. */
export type Selection =
  | { type: 'terms'; terms: string[] }
  | { type: 'term'; term: string }
  | { type: 'switch'; on: boolean }
  | { type: 'search'; text: string }
  /** Ids in ascending code units. */
  | { type: 'posts'; ids: string[] }
  /** Calendar days `YYYY-MM-DD`, both included; null is an open end. Never both null. */
  | { type: 'days'; from: string | null; to: string | null }
  /** Minutes of the lens's zone, `YYYY-MM-DDTHH:MM`, likewise. */
  | { type: 'times'; from: string | null; to: string | null }
  | { type: 'numbers'; from: number | null; to: number | null };

/** The terms a selection names: of a switch, yes or no. */
export function slugsOf(selection: Selection): readonly string[] {
  if (selection.type === 'terms') return selection.terms;
  if (selection.type === 'term') return [selection.term];
  return selection.type === 'switch' ? [selection.on ? 'yes' : 'no'] : [];
}
