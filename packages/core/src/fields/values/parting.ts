/** Signs that part values in a cell, the surest first. */
export const partingSigns = ['|', ';', ',', '·', '/'] as const;

/** Values of one kind are short. */
const longestPart = 60;

/**
 * Whether a sign parts several values in some texts: their parts come again in others. A comma and a slash stand in plain
 * words as well, so that of them a part must be seen alone, too: “Paris, France” is one value until “France” is.
 */
export function isParting(sign: string, texts: readonly string[]): boolean {
  if (texts.filter((text) => text.includes(sign)).length < 2) return false;
  const cells = texts.map((text) => partsOf(text, sign));
  const parted = cells.filter((parts) => parts.length > 1);
  if (parted.length < 2 || cells.flat().some((part) => part.length > longestPart)) return false;
  const counts = new Map<string, number>();
  for (const part of cells.flatMap((parts) => [...new Set(parts)])) counts.set(part, (counts.get(part) ?? 0) + 1);
  const own = parted.flat();
  if (own.filter((part) => counts.get(part)! > 1).length < own.length * 0.6) return false;
  if (sign !== ',' && sign !== '/') return true;
  const alone = new Set(cells.flatMap((parts, i) => (parts.length === 1 ? [parts[0]!, texts[i]!.trim()] : [])));
  return own.some((part) => alone.has(part));
}

function partsOf(text: string, sign: string): string[] {
  return text
    .split(sign)
    .map((part) => part.trim())
    .filter((part) => part !== '');
}
