/** Cells of a trie at most: 1 MB, so that it stays in the caches. */
const mostCells = 1 << 18;
const mostClasses = 0xff;

/**
 * Finds the number of a slug. A source has a few terms and millions of slugs that name them, each a string of its own,
 * for which a map hashes and compares: a trie (Fredkin, 1960) reads each letter once and is done.
 */
export class SlugFinder {
  readonly #trie: Trie | null;

  /** @param cells  of a trie at most; beyond, and for letters of too many kinds, slugs are looked up in the map */
  constructor(
    private readonly numbers: ReadonlyMap<string, number>,
    cells = mostCells,
  ) {
    this.#trie = trieOf(numbers, cells);
  }

  /** -1 for a slug that names none. */
  find(slug: string): number {
    return this.#trie ? findIn(this.#trie, slug) : (this.numbers.get(slug) ?? -1);
  }
}

interface Trie {
  /** Class of each UTF-16 unit that slugs have; 0 for all others. */
  classes: Uint8Array;
  /**
   * A row of cells for each beginning that goes on: by the class of the next unit, the row it leads to, the complement
   * of the number of a slug that ends there and does not go on, or 0. Rows are known by their first cell.
   */
  next: Int32Array;
  /** By row: the number of a slug that ends there and goes on as another, or -1. */
  ends: Int32Array;
}

function findIn({ classes, next, ends }: Trie, slug: string): number {
  const last = slug.length - 1;
  let row = 0;
  for (let i = 0; i <= last; i++) {
    const unit = slug.charCodeAt(i);
    if (unit >= classes.length) return -1;
    row = next[row + classes[unit]!]!;
    // nothing leads back to the first row
    if (row <= 0) return i === last && row < 0 ? ~row : -1;
  }
  return ends[row]!;
}

/** A beginning of slugs. */
interface Beginning {
  next: Map<number, Beginning>;
  number: number;
}

/** Null where it would take more cells than that. */
function trieOf(numbers: ReadonlyMap<string, number>, cells: number): Trie | null {
  const classes = classesOf(numbers.keys());
  if (!classes) return null;
  const width = classes.count + 1;
  const root: Beginning = { next: new Map(), number: -1 };
  const rows = [root];
  for (const [slug, number] of numbers) {
    let at = root;
    for (let i = 0; i < slug.length; i++) {
      const unit = slug.charCodeAt(i);
      let to = at.next.get(unit);
      if (!to) {
        if (at.next.size === 0 && at !== root) rows.push(at);
        if (rows.length * width > cells) return null;
        at.next.set(unit, (to = { next: new Map(), number: -1 }));
      }
      at = to;
    }
    at.number = number;
  }
  const rowOf = new Map(rows.map((beginning, r) => [beginning, r * width]));
  const next = new Int32Array(rows.length * width);
  const ends = new Int32Array(rows.length * width).fill(-1);
  for (const [beginning, row] of rowOf) {
    ends[row] = beginning.number;
    for (const [unit, to] of beginning.next) next[row + classes.byUnit[unit]!] = rowOf.get(to) ?? ~to.number;
  }
  return { classes: classes.byUnit, next, ends };
}

/** Units are numbered from 1 on; null where there are more than a byte can tell apart. */
function classesOf(slugs: Iterable<string>): { byUnit: Uint8Array; count: number } | null {
  const units = new Set<number>();
  for (const slug of slugs) for (let i = 0; i < slug.length; i++) units.add(slug.charCodeAt(i));
  if (units.size > mostClasses) return null;
  const all = [...units].sort((a, b) => a - b);
  const byUnit = new Uint8Array((all[all.length - 1] ?? -1) + 1);
  all.forEach((unit, i) => (byUnit[unit] = i + 1));
  return { byUnit, count: all.length };
}
