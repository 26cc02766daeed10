import type { PageLook, SpanName } from '@ivy/core';

/** The span of widths that a width in CSS pixels is in. */
export function spanAt(
  { tabletFrom, desktopFrom }: Pick<PageLook, 'tabletFrom' | 'desktopFrom'>,
  width: number,
): SpanName {
  return width >= desktopFrom ? 'desktop' : width >= tabletFrom ? 'tablet' : 'phone';
}
