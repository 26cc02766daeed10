import type { LensSummary, SourceSummary } from '@ivy/client';
import { countOf } from '../../shared/figures.js';

/** What is lost for a while where a source is deleted. */
export function goesWith({ name, posts }: SourceSummary, lenses: readonly LensSummary[]): string {
  const also = lenses.length === 0 ? '' : `, and ${lenses.map((lens) => `“${lens.name}”`).join(', ')} with it`;
  const seen = lenses.some(({ release }) => release !== null) ? ' Visitors see nothing there then.' : '';
  return `“${name}” goes with ${countOf(posts, 'post')}${also}.${seen}`;
}

/** The same of a lens. */
export function goesWithLens({ name, release }: LensSummary): string {
  return `“${name}” goes.${release === null ? '' : ' Visitors see nothing there then.'}`;
}
