import { livingTerms, type Term, type TermSummary } from '@ivy/core';
import type { EntityManager } from 'typeorm';

/** Counts the terms of a field over the posts as they are kept: by the slugs they were read with. */
export async function countKept(
  manager: EntityManager,
  sourceId: string,
  field: string,
  terms: readonly Term[],
): Promise<Pick<TermSummary, 'own' | 'filled'>> {
  const living = livingTerms(terms);
  const leads = living.flatMap(({ slug, aliases = [] }, place) =>
    [slug, ...aliases].map((one) => ({ slug: one, place })),
  );
  const rows: { place: number | null; posts: number }[] = await manager.query(
    `WITH had AS (
       SELECT DISTINCT post.id, leads.place
       FROM post
         CROSS JOIN jsonb_array_elements_text(
           CASE jsonb_typeof("values" -> $2) WHEN 'array' THEN "values" -> $2 ELSE '[]' END) AS one(slug)
         JOIN jsonb_to_recordset($3::jsonb) AS leads(slug text, place int) USING (slug)
       WHERE source_id = $1 AND left_by = '{}')
     SELECT place, count(DISTINCT id)::int AS posts FROM had GROUP BY GROUPING SETS ((place), ())`,
    [sourceId, field, JSON.stringify(leads)],
  );
  const own = new Uint32Array(living.length);
  let filled = 0;
  for (const { place, posts } of rows) {
    if (place === null) filled = posts;
    else own[place] = posts;
  }
  return { own, filled };
}
