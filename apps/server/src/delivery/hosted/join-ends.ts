import { kindOf, readAddress, writeAddress, type Lens, type PostIndex } from '@ivy/core';

/** What a form calls one end of a range: it can't put two boxes into one parameter, as addresses have them. */
export const nameOfEnd = (name: string, end: 'from' | 'to') => `${name}.${end}`;

/**
 * The address that a form with two boxes to a range means, put as all other addresses are.
 * @returns null where the address has no such boxes
 */
export function joinEnds(address: string, lens: Lens, index: PostIndex, now: number): string | null {
  const names = lens.facets.filter((facet) => kindOf(facet).hasEnds).map((facet) => lens.address.prefix + facet.key);
  const parameters = new URLSearchParams(address);
  const inBoxes = names.filter(
    (name) => parameters.has(nameOfEnd(name, 'from')) || parameters.has(nameOfEnd(name, 'to')),
  );
  if (inBoxes.length === 0) return null;
  for (const name of inBoxes) {
    const [from, to] = (['from', 'to'] as const).map((end) => {
      const value = parameters.get(nameOfEnd(name, end))?.trim() ?? '';
      parameters.delete(nameOfEnd(name, end));
      return value;
    });
    if (from || to) parameters.set(name, `${from || '..'}/${to || '..'}`);
  }
  const { query, foreign } = readAddress(parameters.toString(), lens, index, now);
  return [...foreign, writeAddress(query)].filter((part) => part !== '').join('&');
}
