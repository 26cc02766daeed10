import type { EntityManager } from 'typeorm';
import type { LensRow } from '../../database/lens.entity.js';
import { wholeConfig } from '../lenses/lens-config.js';
import { newest } from '../lenses/lens-rows.js';
import type { LensOfTerms } from './term.view.js';

/** The lenses that visitors have, and of each the facets that list the terms of a field. */
export async function lensesWith(
  manager: EntityManager,
  lenses: readonly LensRow[],
  key: string,
): Promise<LensOfTerms[]> {
  const found: LensOfTerms[] = [];
  for (const { id, slug, name } of lenses) {
    const release = await newest(manager, id);
    if (!release) continue;
    const { facets } = wholeConfig(release.config);
    const labels = facets.flatMap((facet) =>
      'field' in facet && facet.field === key ? [facet.label || facet.key] : [],
    );
    if (labels.length > 0) found.push({ slug, name, facets: labels });
  }
  return found;
}
