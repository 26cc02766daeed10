import type { ItemsAnswer } from '../read/answer-items.js';
import type { Chip } from './draw.js';
import type { Facet } from '../read/setup.js';

/**
 * What is chosen, in the page's own words and order.
 * @param clear   takes back all that is chosen in a facet
 * @param remove  takes back one thing
 */
export function chipsOf(
  facets: readonly Facet[],
  answer: ItemsAnswer,
  clear: (facet: Facet) => void,
  remove: (facet: Facet, slug: string) => void,
): Chip[] {
  return facets.flatMap((facet): Chip[] => {
    const selected = answer.facets.find(({ key }) => key === facet.key)?.selected ?? null;
    if (selected === null) return [];
    if (typeof selected === 'object' && !Array.isArray(selected)) {
      const { from, to } = selected;
      return [{ words: `${from ?? '…'} – ${to ?? '…'}`, remove: () => clear(facet) }];
    }
    return wordsOf(facet, [selected].flat()).map(([words, slug]) => ({ words, remove: () => remove(facet, slug) }));
  });
}

/** Words of what is chosen, with what each is called: first what the page offers, and then what the address alone says. */
function wordsOf({ choices, slugs }: Facet, chosen: readonly string[]): (readonly [words: string, slug: string])[] {
  const offered = choices.flatMap(({ words, value }) => {
    const slug = slugs.get(value)!;
    return chosen.includes(slug) ? [[words, slug] as const] : [];
  });
  const others = chosen.filter((slug) => !offered.some(([, own]) => own === slug));
  return [...offered, ...others.map((slug) => [slug, slug] as const)];
}
