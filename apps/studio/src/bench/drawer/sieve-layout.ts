import type { Sieve } from '@ivy/core';

/** One mesh of the sieve, in CSS pixels from the upper left of the drawing. */
export interface Mesh {
  key: string;
  /** Where it stands, and where what is left after it ends. */
  x: number;
  end: number;
  /** Heights of what comes to it and of what is left, to one scale; and of what would be. */
  before: number;
  after: number;
  ghost: { before: number; after: number } | null;
  /** Posts: left after it, fallen at it, by itself, back without it. Null: nothing is chosen there now, or would be. */
  now: MeshCounts | null;
  then: MeshCounts | null;
}

export interface MeshCounts {
  left: number;
  fallen: number;
  alone: number;
  /** How many come back without it. */
  back: number;
}

export interface SieveLayout {
  meshes: Mesh[];
  /** What stands before the first mesh, and after the last. */
  start: { x: number; height: number };
  end: { x: number; height: number; ghost: number | null };
}

/** Where the drawing begins, what the first stretch takes, and what is kept for the number at the end. */
const [first, lead, tail] = [14, 72, 104];
/** What is there is seen, however few. */
const thinnest = 1.5;

/**
 * Lays a sieve out: one mesh a facet with a choice, now or as it would be, in the order of the lens.
 * @param order  keys of the lens's facets
 * @param width, height  of the drawing; the height is that of all posts
 */
export function layOut(
  order: readonly string[],
  now: Sieve,
  then: Sieve | null,
  width: number,
  height: number,
): SieveLayout {
  const keys = order.filter((key) => [now, then].some((one) => one?.facets.some((facet) => facet.key === key)));
  const tall = (posts: number, total: number) =>
    total === 0 || posts === 0 ? 0 : Math.max(thinnest, (posts / total) * height);
  const room = (width - first - lead - tail) / Math.max(1, keys.length);
  let [left, ghostLeft] = [now.total, then?.total ?? 0];
  const meshes = keys.map((key, i): Mesh => {
    const [came, wouldCome] = [left, ghostLeft];
    const [is, would] = [countsOf(now, key, came), then && countsOf(then, key, wouldCome)];
    left = is?.left ?? left;
    ghostLeft = would?.left ?? ghostLeft;
    const x = first + lead + i * room;
    return {
      ...{ key, x, end: x + room },
      before: tall(came, now.total),
      after: tall(left, now.total),
      ghost: then && { before: tall(wouldCome, then.total), after: tall(ghostLeft, then.total) },
      now: is,
      then: would,
    };
  });
  return {
    meshes,
    start: { x: first, height: tall(now.total, now.total) },
    end: {
      x: keys.length === 0 ? width - tail : meshes.at(-1)!.end,
      height: tall(now.matched, now.total),
      ghost: then && tall(then.matched, then.total),
    },
  };
}

function countsOf({ facets, matched }: Sieve, key: string, came: number): MeshCounts | null {
  const facet = facets.find((one) => one.key === key);
  if (!facet) return null;
  return { left: facet.left, fallen: came - facet.left, alone: facet.alone, back: facet.without - matched };
}
