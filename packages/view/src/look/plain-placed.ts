import type { PageLook, Placed } from '@ivy/core';

/**
 * What a page is drawn by that knows no width: as the widest, but with all that a narrower one shows. A sheet hides what
 * does not belong at the width it turns out to have.
 */
export function plainPlaced({ phone, tablet, desktop }: PageLook): Placed {
  const all = [desktop, tablet, phone];
  const isWhole = desktop.arrangement !== 'list';
  const arrangement = isWhole
    ? desktop.arrangement
    : (all.find((one) => one.arrangement !== 'list')?.arrangement ?? 'list');
  const picture = all.find((one) => one.picture !== 'none')?.picture ?? 'none';
  return { ...desktop, arrangement, picture: desktop.picture === 'none' ? picture : desktop.picture };
}
