import type { PostRuler } from '@ivy/client';
import { figure } from '../../shared/figures.js';

type Mark = PostRuler['marks'][number];

/** Pixels between two labels at least, and between two ticks. */
const betweenLabels = 20;
const betweenTicks = 4;

/**
 * Which marks of a ruler are written out and which are ticks alone, so that none covers another. Without marks places
 * themselves are told, in round numbers.
 * @param height  of the ruler, in pixels
 */
export function rulerLabels(
  marks: readonly Mark[],
  total: number,
  height: number,
): { labels: Mark[]; ticks: number[] } {
  const all = marks.length > 0 ? marks : roundPlaces(total);
  const yOf = ({ place }: Mark) => (place / Math.max(1, total)) * height;
  const labels: Mark[] = [];
  const ticks: number[] = [];
  let [label, tick] = [-Infinity, -Infinity];
  for (const mark of all) {
    const y = yOf(mark);
    if (y - label >= betweenLabels) {
      labels.push(mark);
      [label, tick] = [y, y];
    } else if (y - tick >= betweenTicks) {
      ticks.push(mark.place);
      tick = y;
    }
  }
  return { labels, ticks };
}

/** Places in steps of 1, 2 or 5 times a power of ten, of which about ten fit. */
function roundPlaces(total: number): Mark[] {
  const power = 10 ** Math.floor(Math.log10(Math.max(1, total / 10)));
  const step = power * ([1, 2, 5].find((by) => power * by >= total / 10) ?? 10);
  return Array.from({ length: Math.floor(total / step) }, (_, i) => ({
    place: (i + 1) * step - 1,
    words: figure((i + 1) * step),
  })).filter(({ place }) => place < total);
}
