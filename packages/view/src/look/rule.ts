/** A rule of a sheet: selectors below the element that bears the listing, itself being '', and what it declares. */
export type Rule = readonly [selectors: string | readonly string[], declared: Readonly<Record<string, string>>];

/**
 * Writes rules so that any plain rule of a host page wins: each selector has no weight of its own.
 * @param here  the selector of the element that bears the listing; '' for any
 */
export function writeRules(here: string, rules: readonly Rule[], indent = '  '): string {
  const written = rules.flatMap(([selectors, declared]) => {
    const lines = Object.entries(declared).map(([name, value]) => `${indent}  ${name}: ${value};\n`);
    if (lines.length === 0) return [];
    const all = typeof selectors === 'string' ? [selectors] : selectors;
    return `${indent}${weightless(all.map((one) => `${here} ${one}`.trim()))} {\n${lines.join('')}${indent}}\n`;
  });
  return written.join('');
}

/** Selectors without weight. A pseudo-element must stand outside. */
function weightless(selectors: readonly string[]): string {
  const bare = selectors.filter((one) => !one.includes('::'));
  const written = selectors.flatMap((one) => {
    const at = one.indexOf('::');
    return at < 0 ? [] : `:where(${one.slice(0, at)})${one.slice(at)}`;
  });
  return [...(bare.length > 0 ? [`:where(${bare.join(', ')})`] : []), ...written].join(', ');
}
