/** What stands more than once in a list, each once. */
export function repeated(names: readonly string[]): string[] {
  return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))];
}

/**
 * Levels of the first heading that leaves one out, and of the heading before it; null where none does.
 * @param levels  1 to 6, in the order of the page
 */
export function skippedLevel(levels: readonly number[]): [before: number, level: number] | null {
  const at = levels.findIndex((level, i) => i > 0 && level > levels[i - 1]! + 1);
  return at < 0 ? null : [levels[at - 1]!, levels[at]!];
}
