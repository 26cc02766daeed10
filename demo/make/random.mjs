/**
 * Chance that is the same every time: mulberry32 (public domain, T. Ettinger), seeded from text by FNV-1a.
 * @param {string} seed
 */
export function random(seed) {
  let state = 0x811c9dc5;
  for (const character of seed) state = Math.imul(state ^ character.codePointAt(0), 0x01000193) >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const between = (low, high) => low + (high - low) * next();
  return {
    next,
    between,
    whole: (low, high) => Math.floor(between(low, high + 1)),
    chance: (share) => next() < share,
    pick: (list) => list[Math.floor(next() * list.length)],
    /** GatherMap by weight: entries are [value, weight]. */
    weighted: (entries) => {
      let at = next() * entries.reduce((sum, [, weight]) => sum + weight, 0);
      for (const [value, weight] of entries) if ((at -= weight) < 0) return value;
      return entries.at(-1)[0];
    },
  };
}
