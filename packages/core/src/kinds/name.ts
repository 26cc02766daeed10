/** What a facet goes by where its config changes: its label, or the fields it reads. */
export function nameOf({ label }: { label: string }, fields: readonly string[]): string {
  return label || fields.join(', ');
}
