import { ArrayContains, type EntityManager } from 'typeorm';
import { LensRow } from '../../database/lens.entity.js';
import { Release } from '../../database/release.entity.js';
import { notFound, Problem } from '../../problem/problem.js';
import { mayBeSlug } from '../../shared/slugs.js';

/** The lens that answers to a slug: the one that has it, or else the one that had it. */
export async function lensAt(manager: EntityManager, slug: string): Promise<LensRow | null> {
  if (!mayBeSlug(slug)) return null;
  const relations = { source: true };
  return (
    (await manager.findOne(LensRow, { where: { slug }, relations })) ??
    (await manager.findOne(LensRow, { where: { former: ArrayContains([slug]) }, relations }))
  );
}

/** The lens that answers to a slug, which is to be there. */
export async function findRow(manager: EntityManager, slug: string): Promise<LensRow> {
  const lens = await lensAt(manager, slug);
  if (!lens) throw notFound('lens', slug);
  return lens;
}

/** The same, held until the transaction is over. */
export async function lockRow(manager: EntityManager, slug: string): Promise<LensRow> {
  if (mayBeSlug(slug)) {
    await manager.query('SELECT 1 FROM lens WHERE slug = $1 OR $1 = ANY(former) FOR UPDATE', [slug]);
  }
  return findRow(manager, slug);
}

/** The newest release of a lens. */
export async function newest(manager: EntityManager, lensId: string): Promise<Release | null> {
  return manager.findOne(Release, { where: { lensId }, order: { number: 'DESC' } });
}

/** All releases of a lens, the oldest first. */
export function releasesOf(manager: EntityManager, lensId: string): Promise<Release[]> {
  return manager.find(Release, { where: { lensId }, order: { number: 'ASC' } });
}

/** Told whoever works on a draft that is not the newest any more. */
export function overtaken(revision: number): Problem {
  return new Problem(
    412,
    'draft-changed',
    `Someone saved draft ${revision} meanwhile. Load it, then make your change again.`,
  );
}

/** Whether a slug is another lens's, or was. */
export async function isSpoken(manager: EntityManager, slug: string, id: string): Promise<boolean> {
  const found = await lensAt(manager, slug);
  return found !== null && found.id !== id;
}
