import type { PostIndex } from '../engine/index/post-index.js';
import type { Lens } from './lens.js';

/** How a term of a facet looks, besides its name. */
export interface TermLook {
  facet: string;
  term: string;
  /** `#rrggbb` */
  colour?: string;
  /** Address as it was given. */
  picture?: string;
}

/** Terms drawn by a picture or a colour at most: each is a rule of its own. */
const mostDrawn = 500;

/** The terms of a lens that are shown with a colour or a picture. */
export function termLooks(index: PostIndex, { facets }: Lens): TermLook[] {
  return facets
    .flatMap((facet): TermLook[] => {
      if (!('draw' in facet) || facet.draw === 'names') return [];
      const terms = index.termList(facet.field)?.terms ?? [];
      return terms.flatMap(({ slug: term, colour, picture }): TermLook[] => {
        const own = { facet: facet.key, term };
        if (facet.draw === 'pictures' && picture !== undefined) return [{ ...own, picture }];
        return colour === undefined ? [] : [{ ...own, colour }];
      });
    })
    .slice(0, mostDrawn);
}
