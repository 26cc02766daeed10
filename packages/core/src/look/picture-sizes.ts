import { placedAt, type Look } from './look.js';
import { cardsAcross, facetsBeside, spanNames, type Placed } from './placing.js';

/**
 * How wide the pictures of a look are drawn at each width of the window, as the attribute `sizes` of HTML says it. The
 * browser chooses by it before anything is laid out, so it is near and not exact.
 */
export function pictureSizes(look: Look): string {
  const { tabletFrom, desktopFrom } = look;
  const begins = { phone: 320, tablet: tabletFrom, desktop: desktopFrom };
  const ends = { phone: tabletFrom - 1, tablet: desktopFrom - 1, desktop: null };
  return spanNames
    .map((span) => {
      const end = ends[span];
      const size = sizeAt(placedAt(look, span), begins[span]);
      return end === null ? size : `(max-width: ${end}px) ${size}`;
    })
    .join(', ');
}

/** @param from  CSS pixels from which the span reaches: as many cards as fit there are in a row */
function sizeAt(placed: Placed, from: number): string {
  const { arrangement, facets, picture } = placed;
  if (arrangement === 'table') return '64px';
  const taken = facets === 'side' ? facetsBeside : 0;
  const isRows = arrangement.startsWith('rows');
  const across = isRows ? 1 : cardsAcross(placed, from - taken);
  const share = isRows || picture === 'side' ? 0.3 : 1;
  const parts = [taken === 0 ? '100vw' : `(100vw - ${taken}px)`];
  if (across > 1) parts.push(`/ ${across}`);
  if (share !== 1) parts.push(`* ${share}`);
  return parts.length === 1 && taken === 0 ? '100vw' : `calc(${parts.join(' ')})`;
}
