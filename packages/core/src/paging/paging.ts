import { choice, list, object, whole, withDefault } from '../shape/shape.js';
import { all } from './all.js';
import { endless } from './endless.js';
import { mostOnPage, type PagingMode } from './mode.js';
import { more } from './more.js';
import { pages } from './pages.js';

/** Every way of paging by its name. All that depends on which there are is derived from here. */
export const pagingModes = { pages, more, endless, all };

/** The name of a way of paging. */
export type PagingName = keyof typeof pagingModes;

export const pagingNames = Object.keys(pagingModes) as PagingName[];

/** What a lens says of its pages. */
export const pagingShape = object({
  mode: withDefault(choice(...pagingNames), () => 'pages' as const),
  /** Posts a page. */
  size: withDefault(whole(1, 200), () => 12),
  /** Sizes that visitors may choose from; none: it is not theirs to choose. */
  sizes: withDefault(list(whole(1, 200), 6), () => []),
});

interface Paging {
  mode: PagingName;
  size: number;
  sizes: readonly number[];
}

export function pagingOf({ mode }: { mode: PagingName }): PagingMode {
  return pagingModes[mode];
}

/** Sizes that visitors may choose from, smallest first, the lens's own among them; none where it is not theirs to choose. */
export function sizesOf(paging: Paging): number[] {
  if (!pagingOf(paging).hasSize || paging.sizes.length === 0) return [];
  return [...new Set([...paging.sizes, paging.size])].sort((a, b) => a - b);
}

/** Posts a page, as the lens has it or as a visitor chose. */
export function pageSizeOf(paging: Paging, asked: number | null): number {
  return pagingOf(paging).sizeOf(paging, asked);
}

/**
 * The first of the pages that stand there with a page.
 * @param asked  the first one that is wanted; the others are there already
 */
export function firstStacked(paging: Paging, page: number, size: number, asked = 1): number {
  if (!pagingOf(paging).stacks) return page;
  return Math.max(1, Math.min(asked, page), page - Math.floor(mostOnPage / size) + 1);
}
