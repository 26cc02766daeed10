/** What stands more than once in a list, each once. */
export function repeated(names: readonly string[]): string[] {
  const seen = new Set<string>();
  const twice = new Set<string>();
  for (const name of names) (seen.has(name) ? twice : seen).add(name);
  return [...twice];
}

/**
 * Levels of the first heading that leaves one out, and of the heading before it; null where none does.
 * @param levels  1 to 6, in the order of the page
 */
export function skippedLevel(levels: readonly number[]): [before: number, level: number] | null {
  const at = levels.findIndex((level, i) => i > 0 && level > levels[i - 1]! + 1);
  return at < 0 ? null : [levels[at - 1]!, levels[at]!];
}
